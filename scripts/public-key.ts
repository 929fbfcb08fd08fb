/**
 * Prints the public key that seals and exported records are signed with, and its number, for whoever is to check them elsewhere:
 * `npm run --silent public-key > public.pem`, and there `npm run verify -- --key public.pem record.json`.
 */
import { sealKey } from "./lib/seal-key-file";

const { publicKey, id } = sealKey();
console.log(publicKey.export({ type: "spki", format: "pem" }).toString().trim());
console.error(`Key ${id.toString("hex")}`);
