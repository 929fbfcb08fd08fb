export { many, maybeOne, none, one, type Row } from "./ask";
export { type Database, openPool, type Pool } from "./pool";
export { containing, Statement, sql } from "./sql";
export { transaction, transactionIf, within } from "./transaction";
export { isUnavailable } from "./unavailable";
