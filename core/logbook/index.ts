export { cookView, cookingSchema, finish, undo, type Cooking, type CookView } from './cooking'
