/** Of a request: who made it. Of an answer: for whom it was made, or "nobody". */
export const personHeader = "X-Person";
/** Until when the session of an answer lasts. */
export const personUntilHeader = "X-Person-Until";
/** Of an answer that the page has to know before anybody else reads it: why it was refused. */
export const refusalHeader = "X-Refusal";
/** Of a request that only looks whether there is something new: it is nobody's doing, and keeps no session awake. */
export const onlyLookingHeader = "X-Only-Looking";
