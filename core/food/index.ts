export type { Base, Food } from './food'
export { foodOf, type Named } from './foods'
export { gramsIn, measured, type Measured } from './measure'
export { inShopOrder, SECTION_WORDS, SECTIONS, type Section } from './sections'
