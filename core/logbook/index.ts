export {
  cookingSchema,
  cookView,
  finish,
  undo,
  type Cooking,
  type CookView,
  type Task,
} from './cooking'
