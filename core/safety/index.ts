export { cautionsOf, FIRST, type Caution } from './cautions'
export { HAZARDS, type Finding, type Hazard } from './hazards'
export { withCautions, type RecipeWithCautions } from './read'
