import { CATALOGUE, SHOP } from '../devices/shop'

/** What the simulated shop has today; a real one would be asked here in its place. */
export default defineEventHandler(() => ({ shop: SHOP, simulated: true, prices: CATALOGUE }))
