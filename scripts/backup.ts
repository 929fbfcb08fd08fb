/**
 * Backs up the database in DATABASE_URL (or, without it, that which ./start keeps here) into one file in BACKUP_FOLDER, `.harmostat/backups`
 * without it, while the app runs or not. `npm run backup`
 *
 * The keys are not in it: keep `.harmostat/seal-key.pem` and `.harmostat/session-secret` elsewhere, once.
 */
import { backUp } from "./lib/backup";
import { withDatabaseHere } from "./lib/with-database";

await withDatabaseHere(async (_pool, url) => console.log(await backUp(url)));
