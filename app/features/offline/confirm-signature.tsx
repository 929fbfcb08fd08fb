import { SecretForm } from "../identity/secret-form";
import { confirmSignature } from "./outbox-state";
import type { Waiting } from "./waiting-store";

/** For a signature that was made without the server: its signer shows who they are, and it goes into the logbook. */
export function ConfirmSignature({ waiting }: { waiting: Waiting }) {
  return (
    <SecretForm
      name="Confirm the signature"
      label="Your PIN or password"
      done="Confirm the signature"
      atOnce={false}
      give={(secret) => confirmSignature(waiting, secret)}
    />
  );
}
