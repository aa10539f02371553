export { cautionsOf, FIRST, type Caution } from './cautions'
export type { Finding, Hazard } from './hazard'
export { HAZARDS } from './hazards'
export { withCautions, type RecipeWithCautions } from './read'
