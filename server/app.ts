import { resolve } from "node:path";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type Express } from "express";
import { pino } from "pino";
import { pinoHttp } from "pino-http";
import { RouterContextProvider } from "react-router";
import { addressContext, nonceContext, poolContext } from "~/app/session/request-context";
import { openPool, type Pool, sql } from "~/data/postgres";
import { one } from "~/data/postgres/ask";
import { limitBody, refuseCrossSite, securityHeaders } from "./security";

const mostBytes = { usual: 2_000_000, files: 12_100_000 };

export type Service = { app: Express; pool: Pool };

/**
 * @param databaseUrl PostgreSQL
 * @param logFile where requests are logged; standard output without it
 * @param clientFolder the built browser files; none in development, where Vite serves them
 */
export function createService(databaseUrl: string, logFile?: string, clientFolder?: string): Service {
  const log = logFile ? pino(pino.destination({ dest: logFile, mkdir: true })) : pino();
  const pool = openPool(databaseUrl, (error) => log.warn({ error: error.message }, "database connection lost"));
  const app = express();
  app.disable("x-powered-by");
  app.get("/health", async (_request, response) => {
    const up = await one(pool, sql`select 1 as up`, () => true).catch(() => false);
    response.status(up ? 200 : 503).json({ database: up ? "up" : "down" });
  });
  app.use(pinoHttp({ logger: log, quietReqLogger: true }));
  app.use(compression());
  app.use(securityHeaders(!clientFolder));
  if (clientFolder) {
    app.use("/assets", express.static(resolve(clientFolder, "assets"), { immutable: true, maxAge: "1y" }));
    // The service worker decides what is fresh; it itself must always be.
    app.get("/sw.js", (_request, response) => {
      response.set("Cache-Control", "no-cache").sendFile(resolve(clientFolder, "sw.js"));
    });
    app.use(express.static(clientFolder, { maxAge: "1h" }));
  }
  app.use(refuseCrossSite, limitBody(mostBytes));
  app.use(
    createRequestHandler({
      build: () => import("virtual:react-router/server-build"),
      getLoadContext: (request, response) => {
        const context = new RouterContextProvider();
        context.set(poolContext, pool);
        context.set(addressContext, request.ip ?? "");
        context.set(nonceContext, response.locals.nonce);
        return context;
      },
    }),
  );
  return { app, pool };
}
