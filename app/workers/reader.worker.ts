import { expose } from 'comlink'
import { readRecipes } from '~~/core/recipe'

const reader = { read: readRecipes }
export type Reader = typeof reader
expose(reader)
