import type { Price } from '~~/core/shopping'

/** Prices of a shop, as it has them today. */
export interface ShopPrices {
  shop: string
  /** It comes from the stand-in that is shipped with Cadrum, not from a shop. */
  simulated: boolean
  prices: Omit<Price, 'id' | 'day'>[]
}

export interface Shop {
  /** What it has; fails where it does not answer. */
  prices: () => Promise<ShopPrices>
}

/** The shop that the server simulates. */
export const shop: Shop = {
  prices: () => $fetch<ShopPrices>('/api/shop'),
}
