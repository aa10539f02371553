import { addSeconds, format, parseISO } from 'date-fns'
import { computed, ref, watch } from 'vue'
import { stepWords, type Asked } from '~~/core/advice'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import { isWaiting, wishSchema, type CompiledSession, type Wish } from '~~/core/session'
import { clockTime } from './useClock'
import { numberTyped } from './useFields'
import { clockText } from './useMeasures'

const OF_STEP = {
  from: 'begins no sooner than',
  until: 'begins no later than',
  before: 'is done before',
  together: 'begins together with',
  by: 'is done by',
  way: 'is done this way',
  elsewhere: 'is not done in',
  takes: 'takes longer, in minutes',
}
const OF_SESSION = {
  free: 'Somebody has time off',
  closed: 'A place is not to be used',
  first: 'A dish is ready first',
}
/** What a wish is put into words with, as this household writes its hours. */
export const speakingOf = (compiled: CompiledSession, kitchen: Kitchen) => ({
  compiled,
  kitchen,
  hour: (iso: string) => clockText(iso.slice(11)),
})

type Kind = keyof typeof OF_STEP | keyof typeof OF_SESSION

/**
 * A wish as it is put together from short lists and hours: of one step, or of people, places and dishes; what
 * there is to choose from at each point, and the wish once it is complete.
 */
export function useWish(
  props: Readonly<{ asked: Asked; compiled: CompiledSession; plan: Plan; step?: string }>,
) {
  const kind = ref<Kind>()
  const choice = ref<string>()
  const [from, until] = [ref<string>(), ref<string>()]
  const minutes = ref('')
  watch(kind, () => (choice.value = undefined))

  const clock = (seconds: number) => clockTime(props.asked.session.start, seconds)
  const run = computed(() => props.plan.activities.find((r) => r.id === props.step))
  const card = computed(() =>
    props.step === undefined ? undefined : props.compiled.cards[props.step],
  )
  /** Minutes that it takes as it is planned. */
  const planned = computed(() =>
    run.value ? Math.round((run.value.end - run.value.start) / 6) / 10 : 0,
  )
  const kinds = computed((): { value: Kind; title: string }[] => {
    const of = props.step === undefined ? OF_SESSION : OF_STEP
    const all = Object.entries(of) as [Kind, string][]
    const open = (k: Kind) =>
      (k !== 'way' || Object.keys(card.value?.ways ?? {}).length > 1) &&
      (k !== 'elsewhere' || run.value?.stations.length) &&
      // How long cooked food stands about is no matter of taste.
      (k !== 'takes' || !isWaiting(card.value?.work))
    return all.filter(([k]) => open(k)).map(([value, title]) => ({ value, title }))
  })
  const named = (value: string, title: string) => ({ value, title })
  const cooks = () =>
    props.asked.kitchen.people
      .filter((p) => props.asked.session.cooks.includes(p.id))
      .map((p) => named(p.id, p.name))
  const places = () => props.asked.kitchen.stations.map((s) => named(s.id, s.name))
  /** Other steps of somebody's hands, in the order of the plan. */
  const others = () =>
    props.plan.activities
      .filter((r) => r.id !== props.step && r.phases.some((p) => p.cook !== undefined))
      .sort((a, b) => a.start - b.start)
      .map((r) => named(r.id, `${clock(r.start)} ${stepWords(r.id, { compiled: props.compiled })}`))
  const choices = computed(() => {
    switch (kind.value) {
      case 'before':
      case 'together':
        return others()
      case 'by':
      case 'free':
        return cooks()
      case 'way':
        return Object.entries(card.value?.ways ?? {}).map(([id, words]) => named(id, words))
      case 'elsewhere':
        return places().filter((p) => run.value?.stations.includes(p.value))
      case 'closed':
        return places()
      case 'first':
        return props.compiled.dishes.filter((d) => !d.base).map((d) => named(d.id, d.name))
      default:
        return undefined
    }
  })
  /** The day on which such an hour comes first after the session has begun. */
  function instant(hour: string): string {
    const { start } = props.asked.session
    const day =
      hour >= start.slice(11) ? start : format(addSeconds(parseISO(start), 86_400), 'yyyy-MM-dd')
    return `${day.slice(0, 10)}T${hour}`
  }
  const written = (): object | undefined => {
    const { step } = props
    const [a, b, c] = [from.value, until.value, choice.value]
    const span = a && b && a < b ? { from: instant(a), until: instant(b) } : undefined
    switch (kind.value) {
      case 'from':
        return a ? { kind: 'at', step, from: instant(a) } : undefined
      case 'until':
        return a ? { kind: 'at', step, until: instant(a) } : undefined
      case 'before':
      case 'together':
        return { kind: kind.value, step, other: c }
      case 'by':
        return { kind: 'by', step, cook: c }
      case 'way':
        return { kind: 'way', step, way: c }
      case 'elsewhere':
        return { kind: 'elsewhere', step, place: c }
      case 'takes':
        return numberTyped(minutes.value) > planned.value
          ? { kind: 'takes', step, minutes: numberTyped(minutes.value) }
          : undefined
      case 'free':
        return span && { kind: 'free', cook: c, ...span }
      case 'closed':
        return span && { kind: 'closed', place: c, ...span }
      case 'first':
        return { kind: 'first', dish: c }
      default:
        return undefined
    }
  }
  /** The wish, once it is complete. */
  const wish = computed((): Wish | undefined => {
    const read = wishSchema.safeParse(written())
    return read.success ? read.data : undefined
  })
  const hasHours = computed(() => ['from', 'until', 'free', 'closed'].includes(kind.value ?? ''))
  const isSpan = computed(() => kind.value === 'free' || kind.value === 'closed')
  /** What is wrong with what was typed, where something is. */
  const wrong = computed(() => {
    if (kind.value === 'takes' && minutes.value.trim() !== '' && !wish.value)
      return `"${minutes.value}" cannot be planned. Allowed: more than the ${planned.value} minutes that are planned, up to 2880: nothing is made shorter than its recipe says.`
    if (isSpan.value && from.value && until.value && from.value >= until.value)
      return 'The end comes before the beginning. Allowed: an hour after it.'
    return undefined
  })
  return {
    kind,
    choice,
    from,
    until,
    minutes,
    kinds,
    choices,
    wish,
    wrong,
    hasHours,
    isSpan,
    clock,
  }
}
