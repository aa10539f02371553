import { handworkOf, waitingTime, type Handwork } from '../board'
import { objectiveValue, type Plan } from '../plan'
import { upperFirst } from '../recipe'
import { quantile, rehearse } from '../rehearsal'
import {
  AIMS,
  CALM,
  compileSession,
  rulesOf,
  type Aim,
  type CompiledSession,
  type Session,
} from '../session'
import { moreCooks } from './moreCooks'
import { tried, type Asked, type Effort } from './trial'

/** A way to go about the same session. */
export interface School {
  id: string
  words: string
  asked: Asked
  /** What of the session it changes, where it does: the rest are rules of the house. */
  session?: Partial<Session>
}

const NOW = 'now'
/** For the sake of what a plan may be longer, in a cook's words. */
export const AIM_WORDS: Record<Aim, string> = {
  dishes: 'fewer changes of dish',
  hands: 'hands free sooner',
  ovens: 'fewer oven changes',
}

/** Ways that could be tried in this kitchen; the first is the session as it stands. */
export function schoolsFor(asked: Asked): School[] {
  const { session, kitchen } = asked
  const of = (id: string, words: string, change: Partial<Session>): School => ({
    id,
    words,
    asked: { ...asked, session: { ...session, ...change } },
    session: change,
  })
  const ruled = (
    id: string,
    words: string,
    rules: Partial<ReturnType<typeof rulesOf>>,
  ): School => ({
    id,
    words,
    asked: { ...asked, kitchen: { ...kitchen, rules: { ...rulesOf(kitchen), ...rules } } },
  })
  const calm = session.calm ?? CALM.calm
  const rules = rulesOf(kitchen)
  const names = new Map(kitchen.people.map((p) => [p.id, p.name]))
  return [
    { id: NOW, words: 'As it is', asked },
    ...Object.entries(CALM)
      .filter(([, percent]) => percent !== calm)
      .map(([name, percent]) =>
        of(
          `calm ${percent}`,
          name === 'shortest' ? 'As short as can be' : `${name[0]!.toUpperCase()}${name.slice(1)}`,
          { calm: percent },
        ),
      ),
    ...AIMS.filter((aim) => aim !== (session.aim ?? 'dishes')).map((aim) =>
      of(`aim ${aim}`, upperFirst(AIM_WORDS[aim]), { aim, calm: calm || CALM.calm }),
    ),
    ...(session.cooks.length > 1
      ? session.cooks.map((id) =>
          of(`alone ${id}`, `${names.get(id) ?? id} alone`, { cooks: [id] }),
        )
      : []),
    ...moreCooks(asked).map(({ id, words, cooks }) => of(id, words, { cooks })),
    ...(rules.cutting === 'first'
      ? []
      : [ruled('cut first', 'All cutting first', { cutting: 'first' })]),
    ...(rules.cutting === 'just-before'
      ? []
      : [ruled('cut late', 'Cut just before it is wanted', { cutting: 'just-before' })]),
    ...(rules.raw === 'last'
      ? []
      : [ruled('raw last', 'Raw meat and fish after all other cutting', { raw: 'last' })]),
    ...(rules.pans === 'next-clean'
      ? []
      : [ruled('next clean', 'The next clean pan, washed up at the end', { pans: 'next-clean' })]),
  ]
}

/** What a plan comes to, for people: seconds from the beginning, seconds, and counts. */
export interface Figures {
  makespan: number
  /** By when it is finished in nine of ten rehearsals that keep its order. */
  nineInTen: number
  handsFree: number
  hands: number
  waiting: number
  switches: number
  heatChanges: number
  washes: number
}

/** A school with what it comes to; without figures no plan turned up. */
export interface Compared {
  school: School
  figures?: Figures
  handwork: Handwork[]
  cooks: string[]
}

/** Runs of a rehearsal for each of what is compared: so few that nobody waits for them. */
export const RUNS = 120

/** What a plan comes to; `runs` of a rehearsal for when people would be finished. */
export function figuresOf(plan: Plan, compiled: CompiledSession, runs = RUNS): Figures {
  const { problem } = compiled
  const work = handworkOf(plan, compiled)
  const value = (name: Parameters<typeof objectiveValue>[2]) => objectiveValue(problem, plan, name)
  return {
    makespan: plan.makespan,
    nineInTen: quantile(rehearse(problem, plan, { runs, seed: 1 }).finishes, 0.9),
    handsFree: value('handsFree'),
    hands: work.reduce((n, w) => n + w.to - w.from, 0),
    waiting: waitingTime(work),
    switches: value('switches'),
    heatChanges: value('heatChanges'),
    washes: plan.chores.length,
  }
}

/** What a school comes to; of the session as it stands it is the plan that is there. */
function measured(
  school: School,
  now: Plan,
  effort: Effort,
): Pick<Compared, 'figures' | 'handwork'> {
  const of = (plan: Plan, compiled: CompiledSession) => ({
    figures: figuresOf(plan, compiled),
    handwork: handworkOf(plan, compiled),
  })
  if (school.id === NOW) {
    const reading = compileSession(school.asked)
    return reading.ok ? of(now, reading.value) : { handwork: [] }
  }
  const trial = tried(school.asked, now, effort)
  return trial.possible ? of(trial.plan, trial.compiled) : { handwork: [] }
}

/**
 * Each school planned for the same effort and measured alike; of the session as it stands it is the plan that
 * is there, which the cook has seen.
 */
export async function compared(
  schools: readonly School[],
  now: Plan,
  effort: Effort,
  onTry: (done: number, of: number, found: Compared[]) => Promise<boolean> | boolean = () => true,
): Promise<Compared[]> {
  const out: Compared[] = []
  for (const [i, school] of schools.entries()) {
    if (!(await onTry(i, schools.length, [...out]))) break
    out.push({ school, cooks: school.asked.session.cooks, ...measured(school, now, effort) })
  }
  return out
}
