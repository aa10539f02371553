import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { READY_KITCHENS } from '~~/core/kitchen'
import { readRecipeText } from '~~/core/recipe'
import { demoHousehold } from '~~/demo'
import { database } from '../database/database'
import { replaceHousehold, wipeHousehold } from '../database/household'
import { useNotices } from '../stores/notices'
import { useKitchens } from './useKitchens'
import { useRecipes } from './useRecipes'

beforeEach(async () => {
  setActivePinia(createPinia())
  await replaceHousehold(demoHousehold, 'test')
})
const cooking = () =>
  database.cooking.put({ session: 'before-lambing', startedAt: Date.now(), events: [], plans: [] })
const read = readRecipeText('Soda bread\n\n400 g flour\n\nMethod\nBake at 200C for 30 minutes.')

describe('useRecipes', () => {
  it('takes recipes in under ids and marks of their own', async () => {
    const { take } = useRecipes()
    const exact = (await database.recipes.get('soda-bread'))!
    const ids = await take([{ read }, { read }, { exact }])
    expect(ids).toEqual(['soda-bread-2', 'soda-bread-3', 'soda-bread-4'])
    const marks = (await database.recipes.toArray()).map((r) => r.mark)
    expect(new Set(marks).size).toBe(marks.length)
    expect((await database.recipes.get('soda-bread'))!).toEqual(exact)
  })

  it('writes nothing where the result would be unsound, and says why', async () => {
    const { change } = useRecipes()
    const before = await database.recipes.get('fish-pie')
    const loop = await change('fish-pie', (r) => ({
      ...r,
      steps: r.steps.map((s) => (s.id === 'peel' ? { ...s, after: [{ step: 'boil' }] } : s)),
    }))
    expect(loop[0]!.message).toContain('in a circle')
    expect((await change('fish-pie', (r) => ({ ...r, serves: -1 }))).length).toBe(1)
    expect(await database.recipes.get('fish-pie')).toEqual(before)
    expect(await change('fish-pie', (r) => ({ ...r, serves: 7 }))).toEqual([])
    expect((await database.recipes.get('fish-pie'))!.serves).toBe(7)
  })

  it('removes a recipe from the box and the session, and brings both back', async () => {
    const { remove } = useRecipes()
    await remove('oat-bars')
    const dishes = async () =>
      (await database.sessions.get('before-lambing'))!.dishes.map((d) => d.recipe)
    expect(await dishes()).not.toContain('oat-bars')
    await useNotices().notice!.undo!()
    expect(await dishes()).toContain('oat-bars')
    expect(await database.recipes.get('oat-bars')).toBeDefined()
  })

  it('leaves alone what is being cooked, its shared bases too', async () => {
    const { change, remove } = useRecipes()
    await cooking()
    for (const id of ['fish-pie', 'soft-onions']) {
      expect((await change(id, (r) => ({ ...r, serves: 9 })))[0]!.message).toContain('being cooked')
      await remove(id)
      expect(useNotices().notice!.bad).toBe(true)
      expect(await database.recipes.get(id)).toBeDefined()
    }
    const [other] = await useRecipes().take([{ read }])
    expect(await change(other!, (r) => ({ ...r, serves: 9 }))).toEqual([])
  })
})

describe('useKitchens', () => {
  it('begins with another kitchen, takes the sessions along, and goes back', async () => {
    const { begin } = useKitchens()
    const before = await database.sessions.toArray()
    await begin(READY_KITCHENS[1]!.kitchen)
    const [session] = await database.sessions.toArray()
    expect([session!.kitchen, session!.cooks]).toEqual(['my-kitchen', ['me']])
    expect((await database.kitchens.toArray()).map((k) => k.id)).toEqual(['my-kitchen'])
    await useNotices().notice!.undo!()
    expect(await database.sessions.toArray()).toEqual(before)
    expect((await database.kitchens.toArray()).map((k) => k.id)).toEqual(['highfell'])
  })

  it('gives a newcomer a session to put dishes in', async () => {
    await wipeHousehold(true)
    await useKitchens().begin(READY_KITCHENS[0]!.kitchen)
    const [session] = await database.sessions.toArray()
    expect(session).toMatchObject({ kitchen: 'my-kitchen', dishes: [] })
    expect(new Date(session!.start).getTime()).toBeGreaterThan(Date.now())
  })

  it('refuses an unsound change, and any while something is cooking', async () => {
    const { change, begin } = useKitchens()
    const nameless = await change((k) => ({ ...k, name: '' }))
    expect(nameless[0]!.path).toBe('name')
    expect((await change((k) => ({ ...k, people: [] }))).length).toBeGreaterThan(0)
    await cooking()
    expect((await change((k) => ({ ...k, name: 'Elsewhere' })))[0]!.message).toContain(
      'being cooked',
    )
    await begin(READY_KITCHENS[0]!.kitchen)
    expect((await database.kitchens.toArray())[0]!.name).toBe('Highfell')
  })
})
