import { setNonce } from "get-nonce";
import { StrictMode, startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { installSignedFetch } from "./features/identity/signed-fetch";

// The content security policy forbids making functions from text, which Zod would otherwise try. It looks here when a page brings it.
Object.assign(globalThis, { __zod_globalConfig: { jitless: true } });

// Dialogs add styles of their own; they carry the page's nonce.
const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
if (nonce) setNonce(nonce);

installSignedFetch();

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <HydratedRouter />
    </StrictMode>,
  );
});
