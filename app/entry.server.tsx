import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { renderToPipeableStream } from "react-dom/server";
import {
  type EntryContext,
  type HandleErrorFunction,
  isRouteErrorResponse,
  type RouterContextProvider,
  ServerRouter,
} from "react-router";
import { nonceContext } from "./session/request-context";

const giveUpMs = 8000;

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  loadContext: RouterContextProvider,
): Promise<Response> {
  const nonce = loadContext.get(nonceContext);
  return new Promise((resolve, reject) => {
    let started = false;
    let responseStatus = status;
    const wait = isbot(request.headers.get("user-agent") ?? "") ? "onAllReady" : "onShellReady";
    const { pipe, abort } = renderToPipeableStream(
      <ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
      {
        nonce,
        [wait]() {
          started = true;
          const body = new PassThrough();
          headers.set("Content-Type", "text/html; charset=utf-8");
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status: responseStatus }));
          pipe(body);
        },
        onShellError: reject,
        onError(error) {
          responseStatus = 500;
          if (started) console.error(error);
        },
      },
    );
    setTimeout(abort, giveUpMs);
  });
}

export const handleError: HandleErrorFunction = (error, { request }) => {
  // An address that leads nowhere is the visitor's matter, not the server's.
  const ofVisitor = isRouteErrorResponse(error) && error.status < 500;
  if (!request.signal.aborted && !ofVisitor) console.error(error);
};
