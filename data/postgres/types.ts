import pg from "pg";

/**
 * Each PostgreSQL type decided once: bigint is a number (a logbook stays far below 2^53), float8 a number, timestamptz a
 * Date, bytea a Buffer, jsonb what JSON.parse gives. numeric is not used, so that every stored value is a double.
 */
export const types: pg.CustomTypesConfig = {
  getTypeParser: ((oid: number, format?: "text" | "binary") =>
    oid === pg.types.builtins.INT8
      ? (text: string) => Number(text)
      : pg.types.getTypeParser(oid, format as "text")) as pg.CustomTypesConfig["getTypeParser"],
};
