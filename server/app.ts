import { resolve } from "node:path";
import { constants } from "node:zlib";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type Express } from "express";
import expressStaticGzip from "express-static-gzip";
import { pinoHttp } from "pino-http";
import { RouterContextProvider, type ServerBuild } from "react-router";
import { openPrinter } from "~/app/background/printer.server";
import { sealKeyOf, startSealing } from "~/app/background/sealing.server";
import {
  addressContext,
  backupContext,
  nonceContext,
  originContext,
  poolContext,
  printerContext,
  sealContext,
  sealSoonContext,
} from "~/app/session/request-context";
import { openPool, type Pool } from "~/data/postgres";
import type { StoredSeal } from "~/data/queries/seals";
import { healthOf } from "./health";
import { openLog } from "./log";
import { limitBody, limitUploads, refuseCrossSite, refuseOddAddress, securityHeaders } from "./security";

const mostUploads = 4;
const mostBytes = { usual: 2_000_000, files: 12_100_000 };

export type Service = { app: Express; pool: Pool; end: () => Promise<void> };

export type ServiceOptions = {
  /** PostgreSQL, as the role that the app works as. */
  databaseUrl: string;
  /** The private key for seals and exports, PEM. */
  sealKeyPem: string;
  /** Told of every seal, to note it apart from the database. */
  onSeal?: (seal: StoredSeal) => void;
  /** Where data lies whose room is watched. */
  home?: string;
  /** Where requests are logged; standard output without it. */
  logFolder?: string;
  /** When the last backup was made that was found good; null: none is known. */
  lastBackup?: () => string | null;
  /** The address by which people reach the app, for what is printed. */
  publicUrl: string;
  /** Proxies whose word on where a request comes from is taken: addresses or ranges. */
  trustedProxies?: string | undefined;
  /** The built thread that makes papers; without it they are made in the server itself, as in development. */
  paperWorker?: string;
  /** The built browser files; none in development, where Vite serves them. */
  clientFolder?: string;
};

export async function createService(options: ServiceOptions): Promise<Service> {
  const { databaseUrl, clientFolder, publicUrl, lastBackup = () => null } = options;
  const { log, state: logState, end: endLog } = openLog(options.logFolder);
  const pool = openPool(databaseUrl, (error) => log.warn({ error: error.message }, "database connection lost"));
  const health = healthOf(databaseUrl, options.home, logState, lastBackup);
  const sealKey = sealKeyOf(options.sealKeyPem);
  const printer = openPrinter(options.paperWorker ?? null, (error) =>
    log.warn({ error: error.stack }, "the thread that makes papers was lost"),
  );
  const sealing = startSealing(pool, sealKey, log, options.onSeal ?? (() => {}));
  const app = express();
  app.disable("x-powered-by");
  // Only the word of proxies that were named is taken on where a request comes from.
  app.set("trust proxy", options.trustedProxies ? options.trustedProxies.split(/[\s,]+/) : false);
  app.get("/health", health.handler);
  app.use(
    pinoHttp({
      logger: log,
      quietReqLogger: true,
      // Never a header: cookies open sessions. Never what stands behind a question mark: people search for words.
      serializers: {
        req: (request: { id: unknown; method: string; url: string }) => ({
          id: request.id,
          method: request.method,
          path: request.url.split("?")[0],
        }),
        res: (response: { statusCode: number }) => ({ status: response.statusCode }),
        err: (error: { type: string; message: string; stack: string }) => ({
          type: error.type,
          message: error.message,
          stack: error.stack,
        }),
      },
    }),
  );
  app.use(compression({ level: 3, brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 3 } } }));
  app.use(...securityHeaders(!clientFolder, publicUrl.startsWith("https://") || process.env.SECURE_COOKIES === "1"));
  app.use(refuseOddAddress);
  if (clientFolder) serveFiles(app, clientFolder);
  app.use(refuseCrossSite, limitBody(mostBytes), limitUploads(mostUploads));
  const loadBuild = () => import("virtual:react-router/server-build") as Promise<ServerBuild>;
  app.use(
    createRequestHandler({
      // Once: the router's own tables are made anew for each request otherwise. In development the build changes.
      build: clientFolder ? await loadBuild() : loadBuild,
      getLoadContext: (request, response) => {
        const context = new RouterContextProvider();
        context.set(poolContext, pool);
        context.set(addressContext, request.ip ?? "");
        context.set(originContext, publicUrl.replace(/\/+$/, ""));
        context.set(nonceContext, response.locals.nonce);
        context.set(sealContext, sealKey);
        context.set(printerContext, printer);
        context.set(sealSoonContext, sealing.soon);
        context.set(backupContext, lastBackup);
        return context;
      },
    }),
  );
  const end = async () => {
    await Promise.all([sealing.end(), printer.end()]);
    await Promise.all([pool.end(), health.end()]);
    endLog();
  };
  return { app, pool, end };
}

/** The built files, compressed when they were built. */
function serveFiles(app: Express, clientFolder: string): void {
  const files = (folder: string, serveStatic: { immutable?: boolean; maxAge: string }) =>
    expressStaticGzip(folder, { enableBrotli: true, orderPreference: ["br"], index: false, serveStatic });
  app.use("/assets", files(resolve(clientFolder, "assets"), { immutable: true, maxAge: "1y" }));
  // The service worker decides what is fresh; it itself must always be.
  app.get("/sw.js", (_request, response) => {
    response.set("Cache-Control", "no-cache").sendFile(resolve(clientFolder, "sw.js"));
  });
  app.use(files(clientFolder, { maxAge: "1h" }));
}
