export { bulkWays, takenOf, withBulk, type BulkWay } from './bulk'
export { dishCosts, type DishCost } from './costs'
export {
  shopList,
  totalOf,
  type InHouse,
  type Asked,
  type ShopChoices,
  type ShopLine,
  type ShopList,
  type Total,
  type Want,
} from './list'
export { needsOf, type Need } from './needs'
export { costIn, packsFor, type Bought, type Offer } from './packs'
export { MOST_COST, offersBy, priceSchema, type Price } from './prices'
export {
  amountSaid,
  listAsCsv,
  listAsRows,
  listAsText,
  packsSaid,
  readInHouse,
  readPrices,
} from './exchange'
export { savingsOf, type Saving } from './savings'
