import { randomBytes } from "node:crypto";
import type { RequestHandler } from "express";
import helmet from "helmet";

/**
 * Headers of every answer; in development the tool's own inline scripts must run, so there is no nonce.
 *
 * @param tls the app is reached by HTTPS: browsers shall never speak anything else with it
 */
export function securityHeaders(development: boolean, tls = false): RequestHandler[] {
  const makeNonce: RequestHandler = (_request, response, next) => {
    response.locals.nonce = development ? undefined : randomBytes(16).toString("base64");
    response.set("Permissions-Policy", "camera=(self), microphone=(self), geolocation=()");
    next();
  };
  const inline = (_request: unknown, response: unknown) => {
    const { nonce } = (response as { locals: { nonce?: string } }).locals;
    return nonce ? `'nonce-${nonce}'` : "'unsafe-inline'";
  };
  return [
    makeNonce,
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", inline],
          styleSrc: ["'self'", inline],
          styleSrcAttr: ["'unsafe-inline'"],
          fontSrc: ["'self'"],
          connectSrc: ["'self'", ...(development ? ["ws:"] : [])],
          workerSrc: ["'self'"],
          imgSrc: ["'self'", "data:", "blob:"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      referrerPolicy: { policy: "same-origin" },
      crossOriginOpenerPolicy: { policy: "same-origin" },
      crossOriginResourcePolicy: { policy: "same-origin" },
      strictTransportSecurity: tls ? { maxAge: 63_072_000, includeSubDomains: false } : false,
      xFrameOptions: { action: "deny" },
    }),
  ];
}

/** A request that could change something must come from this site itself, on every route. */
export const refuseCrossSite: RequestHandler = (request, response, next) => {
  if (request.method === "GET" || request.method === "HEAD" || request.method === "OPTIONS") return next();
  const origin = request.get("origin");
  const site = request.get("sec-fetch-site");
  const sameOrigin = origin ? hostOf(origin) === request.get("host") : site === undefined || site === "same-origin";
  if (sameOrigin) return next();
  response.status(403).json({ refusal: { code: "cross-site", path: [], facts: {} } });
};

const hostOf = (origin: string): string | null => {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
};

/** An address that no browser makes and no route can mean is answered before anything looks at it. */
export const refuseOddAddress: RequestHandler = (request, response, next) => {
  if (!/%(00|0[adAD])|\0/i.test(request.originalUrl) && decodes(request.path)) return next();
  response.status(400).json({ refusal: { code: "not-understood", path: [], facts: {} } });
};

function decodes(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

/** Files of a machine, certificates and whole sheets are the only things that are large. */
const takesFiles =
  /^\/(machines\/[0-9a-f-]{36}\/files|stores\/instruments\/[0-9a-f-]{36}\/certificates|stores\/sheets\/[a-z]+)$/i;

/** Large bodies that come in together, before anything of them is read; one more is told to come again. */
export const limitUploads = (most: number): RequestHandler => {
  let open = 0;
  return (request, response, next) => {
    if (request.method === "GET" || request.method === "HEAD" || !takesFiles.test(request.path)) return next();
    if (open >= most)
      return response
        .status(503)
        .set("Retry-After", "5")
        .json({ refusal: { code: "busy", path: [], facts: {} } });
    open++;
    response.once("close", () => {
      open--;
    });
    next();
  };
};

/** A body larger than the largest thing a person can send there, or of a size that is not told, is refused before it is read. */
export const limitBody =
  (most: { usual: number; files: number }): RequestHandler =>
  (request, response, next) => {
    const mostBytes = takesFiles.test(request.path) ? most.files : most.usual;
    const untold = request.get("transfer-encoding") !== undefined;
    const given = Number(request.get("content-length") ?? 0);
    if (!untold && given <= mostBytes) return next();
    const large = most.files === mostBytes && !untold;
    const facts = large ? { megabytes: given / 1e6, most: mostBytes / 1e6 } : { most: mostBytes };
    response.status(413).json({ refusal: { code: large ? "file-too-large" : "too-much", path: [], facts } });
  };
