/** A page of a paper was laid out; of how many is known once all were laid out for the first time. */
export type OnPage = (page: number, of: number | undefined) => void;
