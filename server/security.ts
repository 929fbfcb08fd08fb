import { randomBytes } from "node:crypto";
import type { RequestHandler } from "express";

/** Headers of every answer; in development the tool's own inline scripts must run, so there is no nonce. */
export const securityHeaders =
  (development: boolean): RequestHandler =>
  (_request, response, next) => {
    const nonce = development ? undefined : randomBytes(16).toString("base64");
    response.locals.nonce = nonce;
    const inline = nonce ? `'nonce-${nonce}'` : "'unsafe-inline'";
    const policy = [
      "default-src 'self'",
      `script-src 'self' ${inline}`,
      `style-src 'self' ${inline}`,
      "style-src-attr 'unsafe-inline'",
      "font-src 'self'",
      `connect-src 'self'${development ? " ws:" : ""}`,
      "worker-src 'self'",
      "img-src 'self' data: blob:",
      "object-src 'none'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ];
    response.set({
      "Content-Security-Policy": policy.join("; "),
      "X-Content-Type-Options": "nosniff",
      "Referrer-Policy": "same-origin",
      "Cross-Origin-Opener-Policy": "same-origin",
      "Cross-Origin-Resource-Policy": "same-origin",
      "Permissions-Policy": "camera=(self), microphone=(self), geolocation=()",
    });
    next();
  };

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

/** Files of a machine, certificates and whole sheets are the only things that are large. */
const takesFiles =
  /^\/(machines\/[0-9a-f-]{36}\/files|stores\/instruments\/[0-9a-f-]{36}\/certificates|stores\/sheets\/[a-z]+)$/i;

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
