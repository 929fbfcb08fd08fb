import { createContext, useContext } from "react";
import { type Reader, readerOf } from "./reader";

export const ReaderContext = createContext<Reader>(readerOf());

/** For whom this page is written: on the page of a machine in its units, for who wants them so. */
export const useWords = (): Reader => useContext(ReaderContext);
