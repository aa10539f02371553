import { createSharedComposable, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import {
  compiledNow,
  coolingNow,
  givenUp,
  counting,
  eventsOf,
  inHand,
  ableTo,
  ofKind,
  outOfUse,
  pausesIn,
  stuckWithout,
  placesNow,
  planGoneBy,
  recordOf,
  standingAt,
  timersAt,
  turnsOf,
  type Cooking,
  type Event,
  type Running,
} from '~~/core/logbook'
import type { Recipe } from '~~/core/recipe'
import { recipesOf, rulesOf, standingOf, type CompiledSession } from '~~/core/session'
import { withoutUsed } from '~~/core/stock'
import { database } from '~/database/database'
import { teach } from '~/database/teach'
import { useSaving } from '~/stores/saving'
import { plain } from './plain'
import { newId } from './newId'
import { usedIn } from './usedIn'
import { usePlanningAnew } from './usePlanningAnew'
import { timeOf } from './useMeasures'
import { inOwnColours, useSession } from './useSession'
import { useTelling } from './useTelling'

/** An event as it is made on the page; what it is called and when it is written down come by themselves. */
export type NewEvent = Event extends infer E
  ? E extends Event
    ? Omit<E, 'id' | 'at'>
    : never
  : never

/**
 * The open session as it is being cooked: where it stands each second, what each cook has in hand, what is
 * in each place, and whatever the cooks tell. Shared by the page and the bell, which rings on every page.
 */
export const useRunning = createSharedComposable(() => {
  const held = useSession({ ofCooking: true })
  const saving = useSaving()
  const { cooking } = held
  // Whatever is changed in the household meanwhile: what is being cooked is what it began with.
  const begun = computed(() => cooking.value?.snapshot)
  // A file that came beside others may have given session and kitchen other ids.
  const session = computed(() => {
    const now = held.session.value
    return begun.value && now
      ? { ...begun.value.session, id: now.id, kitchen: now.kitchen }
      : (begun.value?.session ?? now)
  })
  const kitchen = computed(() =>
    begun.value && held.session.value
      ? { ...begun.value.kitchen, id: held.session.value.kitchen }
      : (begun.value?.kitchen ?? held.kitchen.value),
  )
  let made: { key: string; value: CompiledSession | undefined } | undefined
  /** Made once for all that is told, but for the dishes that come to it. */
  const compiled = computed(() => {
    const log = cooking.value
    if (!log?.snapshot) return held.compiled.value
    const extras = ofKind(counting(log.events), 'extra').map((e) => e.id)
    const key = [log.session, log.startedAt, ...extras].join(' ')
    if (made?.key !== key) {
      const reading = compiledNow(plain(log.snapshot), log.events)
      made = {
        key,
        value: reading.ok ? inOwnColours(reading.value, held.recipes.value) : undefined,
      }
    }
    return made.value
  })
  const clock = ref(Date.now())
  useIntervalFn(() => (clock.value = Date.now()), 1000)

  const startedAt = computed(() => cooking.value?.startedAt)
  /** What it goes by: nothing where the recipes are no longer those that it began with. */
  const plan = computed(() => {
    const log = cooking.value
    const current = log && (log.plans.length ? planGoneBy(log) : held.plan.value)
    const known = new Set(compiled.value?.problem.activities.map((a) => a.id))
    return current?.activities.every((a) => known.has(a.id)) ? current : undefined
  })
  const lines = useTelling({ session, kitchen, compiled, plan, startedAt })
  const events = computed(() => (cooking.value ? eventsOf(cooking.value, lines.value) : []))
  const running = computed<Running | undefined>(() =>
    cooking.value && compiled.value && plan.value
      ? {
          problem: compiled.value.problem,
          plan: plan.value,
          lines: lines.value,
          events: events.value,
          links: compiled.value.links,
        }
      : undefined,
  )
  const counted = computed(() => counting(events.value))
  /** Seconds since the beginning; a clock that was set back stands still meanwhile. */
  const now = computed(() => {
    const log = cooking.value
    if (!log) return 0
    const last = events.value.reduce((most, e) => Math.max(most, e.at), log.startedAt)
    return Math.floor((Math.max(clock.value, last) - log.startedAt) / 1000)
  })
  const pauses = computed(() =>
    cooking.value ? pausesIn(events.value, cooking.value.startedAt) : [],
  )
  const paused = computed(() => {
    const last = counted.value.findLast((e) => e.kind === 'paused' || e.kind === 'resumed')
    return last?.kind === 'paused' ? last : undefined
  })
  const standing = computed(
    () => running.value && standingAt(running.value, now.value, pauses.value),
  )
  const turns = computed(() =>
    running.value && standing.value ? turnsOf(running.value, standing.value) : [],
  )
  const left = computed(() => turns.value.filter((t) => !t.over).length)
  const places = computed(() =>
    compiled.value && standing.value ? placesNow(compiled.value, standing.value) : [],
  )
  const timers = computed(() =>
    compiled.value && running.value && standing.value
      ? timersAt(running.value, standing.value, compiled.value)
      : [],
  )
  const cooling = computed(() =>
    compiled.value && running.value && standing.value && kitchen.value
      ? coolingNow(
          running.value,
          standing.value,
          compiled.value,
          standingOf(rulesOf(kitchen.value)),
        )
      : [],
  )
  const out = computed(() => outOfUse(counted.value))
  /** The dishes that are given up. */
  const gone = computed(() => (running.value ? givenUp(running.value) : new Map<string, number>()))
  /** By how many seconds the session will be over the limit that it was given. */
  const beyond = computed(() => {
    const limit = session.value?.limit
    return limit === undefined || !standing.value ? 0 : standing.value.finish - 60 * limit
  })
  const handOf = (cook: string) =>
    inHand(turns.value, { events: events.value }, cook, {
      now: now.value,
      pauses: pauses.value,
    })
  /** What has to be done and cannot: the place that it needs is out of use, and nothing else can do it. */
  const stuck = computed(() =>
    running.value && standing.value ? stuckWithout(running.value, standing.value) : [],
  )
  /** Whether somebody is able to do what an activity asks. */
  const able = (cook: string, activity: string) =>
    running.value !== undefined && ableTo(running.value.problem, activity).includes(cook)
  const timeAt = (seconds: number) => timeOf(new Date((startedAt.value ?? 0) + seconds * 1000))

  /** Writes down what happened. What was told already, here or in another tab, is not told twice. */
  async function tell(...news: NewEvent[]): Promise<void> {
    const [id, before] = [session.value?.id, events.value]
    if (id === undefined) return
    const at = Date.now()
    const told = news.map((e): Event => ({ ...e, id: newId(), at }))
    clock.value = at
    await edit(id, (log) => ({
      ...log,
      // What an older version kept is written down anew as soon as something is added to it.
      events: [
        ...(log.events.length ? log.events : before),
        ...told.filter(
          (e) =>
            e.kind !== 'done' || !ofKind(counting(log.events), 'done').some((d) => d.key === e.key),
        ),
      ],
    }))
  }

  /**
   * One more of a dish, or another one: its recipe, and what it takes from, is kept with the session. Comes
   * back with what is in the way, if something is.
   */
  async function addDish(recipe: string, batches = 1): Promise<string | undefined> {
    const [log, place, own] = [cooking.value, kitchen.value, session.value]
    if (!log || !place || !own) return undefined
    const all = [...(log.snapshot?.recipes ?? []), ...held.recipes.value]
    const byId = new Map<string, Recipe>()
    for (const r of all) if (!byId.has(r.id)) byId.set(r.id, r)
    const wanted = { ...own, dishes: [...own.dishes, { recipe, batches }] }
    const recipes = recipesOf(wanted, [...byId.values()])
    const event = {
      id: newId(),
      at: Date.now(),
      kind: 'extra' as const,
      dish: newDish(recipe, log.events),
      recipe,
      batches,
    }
    const snapshot = plain({ session: own, kitchen: place, recipes })
    // What cannot be cooked here is said, and nothing changes.
    const reading = compiledNow(snapshot, plain([...log.events, event]))
    if (!reading.ok) return reading.issues.map((i) => i.message).join('; ')
    await edit(own.id, (now) => ({ ...now, snapshot, events: [...now.events, event] }))
    return undefined
  }
  /** A name of its own for one more of a recipe. */
  const newDish = (recipe: string, events: readonly Event[]) =>
    `${recipe}-more-${1 + ofKind(events, 'extra').filter((e) => e.recipe === recipe).length}`

  const edit = (id: string, change: (log: Cooking) => Cooking) =>
    saving.write('what was cooked', () =>
      database.transaction('rw', database.cooking, async () => {
        const log = await database.cooking.get(id)
        if (log) await database.cooking.put(plain(change(log)))
      }),
    )

  async function start(): Promise<void> {
    const [own, first, place] = [held.session.value, held.plan.value, held.kitchen.value]
    if (!own || !first) return
    const log: Cooking = {
      session: own.id,
      startedAt: Date.now(),
      events: [],
      plans: [{ plan: plain(first) }],
      ...(place
        ? {
            snapshot: plain({
              session: own,
              kitchen: place,
              recipes: recipesOf(own, held.cookedBy.value),
            }),
          }
        : {}),
    }
    clock.value = log.startedAt
    await saving.write('what was cooked', () => database.cooking.put(log))
  }

  /**
   * The session is over: it goes into the logbook, where something was told of it, and what it teaches
   * goes into the kitchen. A way back, as one write.
   */
  async function end(): Promise<(() => Promise<unknown>) | undefined> {
    const [log, own, made, place] = [cooking.value, session.value, compiled.value, kitchen.value]
    if (!log || !own) return undefined
    const kept =
      made && place && events.value.length
        ? plain(
            recordOf({
              cooking: { ...log, events: events.value },
              session: own,
              kitchen: place,
              compiled: made,
              endedAt: Date.now(),
              stopped: left.value > 0,
            }),
          )
        : undefined
    const { cooking: logs, records, kitchens, stock } = database
    const before = await stock.toArray()
    const used = kept && !kept.stopped ? usedIn(held) : []
    await saving.write('what was cooked', () =>
      database.transaction('rw', logs, records, kitchens, stock, async () => {
        await logs.delete(log.session)
        if (!kept) return
        await records.put(kept)
        await teach(own.kitchen)
        const left = withoutUsed(before, used)
        await stock.bulkDelete(before.map((s) => s.id))
        await stock.bulkPut(left)
      }),
    )
    return () =>
      saving.write('what was cooked', () =>
        database.transaction('rw', logs, records, kitchens, stock, async () => {
          await logs.put(plain(log))
          if (!kept) return
          await records.delete(kept.id)
          await teach(own.kitchen)
          await stock.bulkPut(before)
        }),
      )
  }

  /** What this cook told last that can be taken back: what is ticked inside a step is ticked again there. */
  const lastOf = (cook: string) =>
    counted.value.findLast((e) => e.cook === cook && e.kind !== 'added')
  async function undo(cook: string): Promise<void> {
    const last = lastOf(cook)
    if (last) await tell({ kind: 'undone', event: last.id, cook })
  }

  const state = {
    ...held,
    session,
    kitchen,
    compiled,
    running,
    now,
    standing,
    turns,
    left,
    paused,
    events,
    counted,
  }
  const anew = usePlanningAnew(state, { timeAt, edit })

  return {
    ...state,
    places,
    cooling,
    timers,
    out,
    gone,
    beyond,
    stuck,
    able,
    replanning: anew.busy,
    /** By when nine of ten runs of what is left are finished, in seconds from the beginning. */
    most: anew.most,
    going: plan,
    handOf,
    timeAt,
    tell,
    addDish,
    start,
    end,
    lastOf,
    undo,
  }
})
