import { createSharedComposable, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import {
  coolingNow,
  counting,
  eventsOf,
  inHand,
  ofKind,
  outOfUse,
  pausesIn,
  placesNow,
  recordOf,
  standingAt,
  timersAt,
  turnsOf,
  type Cooking,
  type Event,
  type Running,
} from '~~/core/logbook'
import type { Plan } from '~~/core/plan'
import { rulesOf, standingOf } from '~~/core/session'
import { database } from '~/database/database'
import { teach } from '~/database/teach'
import { useSaving } from '~/stores/saving'
import { plain } from './plain'
import { newId } from './newId'
import { usePlanningAnew } from './usePlanningAnew'
import { timeOf } from './useMeasures'
import { useSession } from './useSession'
import { useTelling } from './useTelling'

/** An event as it is made on the page; what it is called and when it is written down come by themselves. */
export type NewEvent = Event extends infer E
  ? E extends Event
    ? Omit<E, 'id' | 'at'>
    : never
  : never

/** The plan that a session goes by now: the latest that was taken up. */
export function planNow({ plans, events }: Cooking): Plan | undefined {
  const last = ofKind(counting(events), 'planned').at(-1)
  return plans[last?.plan ?? 0]?.plan
}

/**
 * The open session as it is being cooked: where it stands each second, what each cook has in hand, what is
 * in each place, and whatever the cooks tell. Shared by the page and the bell, which rings on every page.
 */
export const useRunning = createSharedComposable(() => {
  const held = useSession()
  const saving = useSaving()
  const { session, kitchen, compiled, cooking } = held
  const clock = ref(Date.now())
  useIntervalFn(() => (clock.value = Date.now()), 1000)

  const startedAt = computed(() => cooking.value?.startedAt)
  /** What it goes by: nothing where the recipes are no longer those that it began with. */
  const plan = computed(() => {
    const log = cooking.value
    const current = log && (log.plans.length ? planNow(log) : held.plan.value)
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
  const handOf = (cook: string) => inHand(turns.value, { events: events.value }, cook, now.value)
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

  const edit = (id: string, change: (log: Cooking) => Cooking) =>
    saving.write('what was cooked', () =>
      database.transaction('rw', database.cooking, async () => {
        const log = await database.cooking.get(id)
        if (log) await database.cooking.put(plain(change(log)))
      }),
    )

  async function start(): Promise<void> {
    const [own, first] = [session.value, held.plan.value]
    if (!own || !first) return
    const log: Cooking = {
      session: own.id,
      startedAt: Date.now(),
      events: [],
      plans: [{ plan: plain(first) }],
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
    const { cooking: logs, records, kitchens } = database
    await saving.write('what was cooked', () =>
      database.transaction('rw', logs, records, kitchens, async () => {
        await logs.delete(log.session)
        if (!kept) return
        await records.put(kept)
        await teach(own.kitchen)
      }),
    )
    return () =>
      saving.write('what was cooked', () =>
        database.transaction('rw', logs, records, kitchens, async () => {
          await logs.put(plain(log))
          if (!kept) return
          await records.delete(kept.id)
          await teach(own.kitchen)
        }),
      )
  }

  /** Undoes what was told last, by this cook or by anybody. */
  async function undo(cook?: string): Promise<void> {
    const last = counted.value.findLast(
      (e) => e.kind !== 'planned' && (cook === undefined || e.cook === cook),
    )
    if (last) await tell({ kind: 'undone', event: last.id, ...(cook ? { cook } : {}) })
  }

  const anew = usePlanningAnew({
    session,
    cooking,
    running,
    standing,
    turns,
    left,
    events,
    counted,
    paused,
    now,
    timeAt,
    edit,
  })

  return {
    ...held,
    running,
    now,
    standing,
    turns,
    left,
    places,
    cooling,
    timers,
    out,
    paused,
    counted,
    replanning: anew.busy,
    /** By when nine of ten runs of what is left are finished, in seconds from the beginning. */
    most: anew.most,
    going: plan,
    handOf,
    timeAt,
    tell,
    start,
    end,
    undo,
  }
})
