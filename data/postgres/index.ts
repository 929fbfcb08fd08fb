export { many, maybeOne, none, one, type Row } from "./ask";
export { type Database, type OpenPool, openHealthPool, openOwnerPool, openPool, type Pool } from "./pool";
export { containing, Statement, sql } from "./sql";
export { stored, storedOnce } from "./stored";
export { transaction, transactionIf, within } from "./transaction";
export { isLocked, isMalformed, isUnavailable } from "./unavailable";
