export { many, maybeOne, none, one, type Row } from "./ask";
export { type Database, openPool, type Pool } from "./pool";
export { type Statement, sql } from "./sql";
export { transaction } from "./transaction";
export { isUnavailable } from "./unavailable";
