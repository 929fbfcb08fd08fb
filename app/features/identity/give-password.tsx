import { useRevalidator } from "react-router";
import { usePersonId } from "../people/use-preferences";
import { SecretForm } from "./secret-form";
import { showThatItIs } from "./show-that-it-is";

/** In a session that a PIN began: the password, for what a PIN is not enough for. */
export function GivePassword() {
  const personId = usePersonId();
  const { revalidate } = useRevalidator();
  const give = async (secret: string) => {
    const refusal = await showThatItIs(personId, secret);
    if (!refusal) revalidate();
    return refusal;
  };
  return <SecretForm name="Password" label="Your password" done="Go on" give={give} />;
}
