export { type FitSeries, type FitSeriesQuestion, type FitTry, type FitWord, fitSeries, fitWords } from "./fit-series";
export { type MadeBore, type MadeBoreQuestion, madeBore } from "./made-bore";
