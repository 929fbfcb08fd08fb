import { generateKeyPairSync } from "node:crypto";
import { join } from "node:path";
import { type SealKey, sealKeyOf } from "../../operations/seal";
import { homeFolder } from "./database";
import { keptSecret } from "./kept-secret";

/** The key that seals and exports are signed with: apart from the database, in a file that several processes may share. */
export const sealKeyFile = process.env.SEAL_KEY_FILE ?? join(homeFolder, "seal-key.pem");

export const sealKeyPem = (file = sealKeyFile): string =>
  keptSecret(file, () => generateKeyPairSync("ed25519").privateKey.export({ type: "pkcs8", format: "pem" }).toString());

export const sealKey = (file = sealKeyFile): SealKey => sealKeyOf(sealKeyPem(file));
