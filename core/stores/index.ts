export {
  everyFigure,
  type Figure,
  type Figures,
  type KindOfStock,
  kindsOfStock,
  type StoreKind,
  storeKinds,
} from "./kinds";
