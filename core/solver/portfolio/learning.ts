import { isOver } from '../model/model'
import type { PlanBody } from '../model/planBody'
import type { Standing } from '../lcg/model/planFromSolution'
import { LcgSolver } from '../lcg/search/lcgSolver'
import type { SearchState } from './searchState'
import type { Strategy } from './strategy'
import { PARAMS } from '../params'

const { LESSON, RAISE } = PARAMS.learning
/** Proven by exhaustion: which requirements clash is then another question. */
export const NO_ORDER =
  'a search through every order of the steps found none that meets all requirements together'

/**
 * Lazy clause generation on the first objective, in lessons: near the best plan (`lns`), everywhere (`lcg`),
 * and at the bound (`raiseBound`), all on what one solver has learned.
 */
export class Learning {
  readonly lns: Strategy = this.lesson((lcg) => lcg.improve(LESSON))
  readonly lcg: Strategy = this.lesson((lcg) => lcg.explore(LESSON))
  readonly raiseBound: Strategy = this.lesson((lcg) => lcg.raiseBound(LESSON, RAISE))
  private solver: LcgSolver | undefined
  /** The best plan of a large session, where learning near it has nothing better to offer. */
  private ruledOut: PlanBody | undefined

  constructor(
    private readonly state: SearchState,
    /** Whether the search builds every plan that the contract allows: only then it proves something. */
    private readonly searchesAll: boolean,
  ) {}

  /** Whether it has nothing more to say, or had no time to be built. */
  get over(): boolean {
    const { incumbent, model, expired } = this.state
    if (!incumbent.first.learned || !model.activities.length) return true
    if (this.solver?.exhausted) return true
    if (incumbent.best && this.ruledOut === incumbent.best.body) return true
    const open = model.activities.filter((a) => !isOver(a)).length
    return !this.solver && expired(LcgSolver.building(open))
  }

  /** Whether the session is learned in part only; the solver is built for that. */
  get partial(): boolean {
    return this.built().session.partial
  }

  /** Forgets what was learned, where something else is made small from now on. */
  forget(): void {
    this.solver = undefined
  }

  private lesson(search: (lcg: LcgSolver) => PlanBody | undefined): Strategy {
    return { ready: () => !this.over, step: () => this.learn(search) }
  }

  private built(): LcgSolver {
    const { incumbent, model, random } = this.state
    const plan = incumbent.best?.body
    return (this.solver ??= new LcgSolver(model, random, {
      plan,
      ...(incumbent.first.name === 'makespan' ? {} : { aim: { objective: 0, plan } }),
      mend: (solution) => this.mend(solution),
    }))
  }

  private learn(search: (lcg: LcgSolver) => PlanBody | undefined): boolean {
    const { state } = this
    const { decoder, incumbent } = state
    const { best } = incumbent
    const lcg = this.built()
    lcg.expired = state.expired
    lcg.know(incumbent.bound.value)
    if (best) lcg.tell(best.body)
    const { partial } = lcg.session
    const body = search(lcg)
    // What it rules out may then only be ruled out near the plan that it began with.
    if (partial && lcg.exhausted) {
      this.solver = undefined
      // Built anew around the same plan it would rule out the same again.
      if (lcg.work === 0) this.ruledOut = best?.body
    }
    const claims = !partial && this.searchesAll
    const proven = lcg.bound - incumbent.first.slack
    if (claims && proven > incumbent.bound.value)
      incumbent.bound = { value: proven, kind: 'search', because: [] }
    // What was mended has been taken up already.
    if (body && body !== incumbent.best?.body) decoder.takeUp(body, state.iterations)
    if (claims && lcg.exhausted && !incumbent.best) state.infeasible = [NO_ORDER]
    return incumbent.best !== best
  }

  private mend(solution: Standing): PlanBody | undefined {
    const { decoder, incumbent, iterations } = this.state
    decoder.follow(solution)
    return decoder.decode(iterations) ? incumbent.best!.body : undefined
  }
}
