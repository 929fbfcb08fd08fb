import { PassThrough } from "node:stream";
import { buffer } from "node:stream/consumers";
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

/** A page whole, in one piece: no loader leaves anything for later, and each piece would be compressed and sent for itself. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  loadContext: RouterContextProvider,
): Promise<Response> {
  const nonce = loadContext.get(nonceContext);
  return new Promise((resolve, reject) => {
    let responseStatus = status;
    const { pipe, abort } = renderToPipeableStream(
      <ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
      {
        nonce,
        onAllReady() {
          clearTimeout(giveUp);
          headers.set("Content-Type", "text/html; charset=utf-8");
          buffer(pipe(new PassThrough())).then(
            (page) => resolve(new Response(page, { headers, status: responseStatus })),
            reject,
          );
        },
        onShellError: reject,
        onError(error) {
          responseStatus = 500;
          console.error(error);
        },
      },
    );
    const giveUp = setTimeout(abort, giveUpMs);
  });
}

export const handleError: HandleErrorFunction = (error, { request }) => {
  // An address that leads nowhere is the visitor's matter, not the server's.
  const ofVisitor = isRouteErrorResponse(error) && error.status < 500;
  if (!request.signal.aborted && !ofVisitor) console.error(error);
};
