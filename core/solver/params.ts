import { NEVER } from './model/model'

/** Activities up to which a session is searched in one way, and above which in another. */
const SIZES = {
  /** Searches for a first plan are rarely limited in length. */
  FEW: 60,
  /** Learning begins after a few schedules and has every second step. */
  SMALL: 72,
  /** What is late goes before others at once, and rules for small sessions are tried first. */
  MIDDLE: 80,
  /** All is learned, with every rule in its way; above, in part, after many shaken orders. */
  LARGE: 160,
} as const

/**
 * Every figure of the engine that was chosen by trial, by the file that uses it. What a figure was tried
 * against stands beside it or in docs/engine/experiments.md.
 */
export const PARAMS = {
  sizes: SIZES,
  serialScheduleGeneration: {
    /**
     * How often something that comes too late only has what it follows put off. From then on, or when
     * it is late again, it goes before all else, which takes ovens from what should have had them
     * first. (16 sessions of 9 dishes, after 60,000 attempts to place something without learning:
     * 6.4 % above the best known instead of 7.4 %.) Above MIDDLE steps nothing is gained by it.
     */
    PATIENCE: 8,
  },
  underWay: {
    /**
     * How often each may go first for the sake of what cannot be put off, in one schedule of a session
     * under way: what fails as often comes out no better later. (At 72 moments of eight sessions no
     * plan after 100 ms at eight without going first, at five with once, two with twice, none with four.)
     */
    FIRST: 8,
    /** How often it goes first before what is under way is asked to let it pass. */
    PASS_BY: 3,
  },
  placement: {
    /** Starts tried for one activity before giving up: far above what a real session needs. */
    TRIES: 400,
    PROBES: 40,
  },
  construction: {
    /** How likely a further round keeps the options that have done best so far. */
    KEEP_OPTIONS: 0.7,
    /**
     * Of a session with more steps than LARGE so many more schedules come from shaken priorities: a
     * third of them from the rules, the others from whatever did best; then learning begins. (Four
     * sessions of 40 dishes after 30 s: 4.0, 0.0 and 2.3 % above the best known with 150, 400 and 900.)
     */
    SHAKEN: 400,
    /** Rules that go before the orders of bakes. */
    BEFORE: 2,
    /**
     * Schedules around orders of the bakes: early, and once options have been tried. Of larger sessions than
     * LARGE, none: shaken priorities lead further there.
     */
    BAKES: [12, 60],
    /**
     * The later ones are left out where something else did better, unless ovens alone take at least such a
     * share of the best schedule.
     */
    BAKED: 0.85,
    /** Schedules from any rule in any way, after those that are known to do well. */
    ANY: 6,
    /** How likely a sample leaves the usual options, and then each of them. */
    OTHER_OPTIONS: 0.6,
    OTHER_OPTION: 0.3,
    /** By what each priority of a sample is multiplied. */
    SAMPLE: { least: 0.8, more: 0.4 },
    /** How far the best priorities are shaken, as shares of the longest tail; how often an option or a mode too, or alone. */
    SHAKES: { least: 0.02, more: 0.3, option: 0.15, mode: 0.25, alone: 0.1 },
    /** Seconds that something under way may go on longer so that something else can follow in time. */
    LONGER: 600,
    /** How likely it does: each of them may as well be what must end now. */
    GOES_ON: 0.2,
    URGENCIES: [1200, NEVER, 300, 0],
  },
  balancedOptions: {
    /** The higher, the more only the longest counts. (2, 4, 8 and 16: little in it.) */
    POWER: 8,
  },
  ovenSequencing: {
    /** Into how many parts each unit of an oven's room is cut, so that all amounts are whole, or nearly. */
    PARTS: [1, 2, 3, 4, 6, 8, 10, 12],
    MANY: 60,
  },
  ovenSequencingHeuristics: {
    /** Orders that the search begins from, each improved by so many changes a bake as if ovens were all. */
    BEGINNINGS: 10,
    CHANGES: 30,
  },
  ovenSequencingSearch: {
    /** How many good orders are put together, in the first of the ways. */
    BEST: 5,
    FIRST_WAYS: 4,
    /** How likely a change is one of priorities rather than of the order; and by how many seconds at most. */
    SAME_ORDER: 0.5,
    FURTHEST: 1200,
    /** How likely a change is put together in any way rather than in the one that did best so far. */
    ANY_WAY: 0.3,
    /** How likely an order is changed a second time. */
    TWICE: 0.3,
    /** Changes in a row that cannot lead to anything better before it is given up. */
    PATIENCE: 200,
  },
  moves: {
    /** How likely it is that the whole schedule is put together anew around a change. */
    ANEW: 0.3,
    /** The widest stretch, either side, that is left free around a change; and the furthest squeeze. */
    WIDEST: 0.3,
    FURTHEST: 0.3,
    LEAST_SHIFT: 15,
    /** The same where what was put off is to stay so; and how often nothing else then comes earlier. */
    ANEW_GATHERING: 0.06,
    STILL: 0.5,
    /** How many of those begin with work that stands alone between other dishes. */
    LONELY: 0.6,
    /** How many of the moves gather, where that is what is wanted. */
    GATHER: 0.5,
    /** Seconds within which what waits may go before all else, and that hands work may wait for whoever would rather do it. */
    URGENCIES: [0, 120, 300, 1200, NEVER],
    PATIENCES: [0, 60, 180, 600],
    /** The shares of the small moves, each up to so much; the rest moves one step. */
    MOVES: { option: 0.12, mode: 0.24, dish: 0.4, spare: 0.41, urgency: 0.43, station: 0.53 },
    /** The shares of the kicks in the same way; the rest only moves a dish. */
    KICKS: { option: 0.5, mode: 0.75 },
    /** How likely the dish of what was left for another option moves too. */
    MOVED_TOO: 0.5,
    /** How likely what is free around a change forgets who did it and where. */
    FORGOTTEN: 0.5,
    /** The shares of gathering moves that change patience, and then whether all goes in order. */
    GATHERED: { patience: 0.05, inOrder: 0.1 },
    /** How likely gathered work goes to the hands that it is gathered to. */
    SAME_HANDS: 0.7,
    /** How likely a step jumps next to another rather than drifting; how far one drifts, as shares of the length. */
    JUMPS: 0.5,
    DRIFT: { least: 0.05, more: 0.5 },
  },
  annealing: {
    /**
     * Decodes after a kick before it is judged, and between two kicks, half to one and a half times.
     * More kicks (one in 50) cost large sessions 2 % at 20 s and gained small ones nothing.
     */
    EXCURSION: 40,
    AT_HOME: 150,
    /** How much of a worsening, as a share, an excursion may easily leave behind. */
    TOLERANCE: 0.003,
    /** The highest temperature of annealing, as a share of the energy. */
    HEAT: 0.002,
    /** Temperature of an excursion, as a share of the highest. */
    AWAY: 0.2,
  },
  cookBound: {
    /** Into how many parts the price of a wash is cut, and how often each group's is set anew. */
    PRICES: 8,
    SWEEPS: 2,
  },
  ovenCoveringBound: {
    /** Windows, of all pairs of a head and a tail, that are looked at; the most promising first. */
    WINDOWS: 24,
    /** Capacities above this are left to the plain sum of the work; parts of one are counted as finely. */
    CAPACITY: 40,
  },
  columnGeneration: {
    STEPS: 400,
  },
  ovenSequencingBound: {
    /** Attempts to put a bake somewhere, for all limits together, after which no more is looked for. */
    ATTEMPTS: 60_000,
    /** Not begun anew with fewer than these left. */
    LEAST: 200,
    /** States kept for each set of bakes, of which none is at least as good as another in all. */
    STATES: 60,
    /** More bakes than this have too many orders. */
    MOST: 24,
  },
  clauseDatabase: {
    /** Learned clauses kept before the first clearing. */
    KEEP: 4000,
    /** And so many more after each. */
    MORE: 500,
  },
  sessionModel: {
    /** What is said from the beginning around a plan: orders so far apart, and up to which size all else. */
    SCOPE: { hands: 16, large: SIZES.LARGE, uses: 8 },
  },
  sequenceCuts: {
    /**
     * Seconds between two touches of one cook within which they get an order too where others meet. (Of
     * 0, 300, 1200 and 3000: after 2 s 16 sessions of 9 dishes stand 0.7, 0.7, 0.3 and 0.3 % above the
     * best known, and after 10 s twelve of 18 dishes 3.0, -, 3.5 and 1.9 %.)
     */
    NEAR: 3000,
  },
  pauseCuts: {
    /** How many stretches back from one it is said beforehand where hands are washed for it. */
    BACK: 6,
  },
  restartSearch: {
    /** Decisions between two attempts to have everything else as early as it goes. */
    TRY_AFTER: 40,
    /** Conflicts between two restarts where nothing is held, times a term of a sequence. */
    RESTART: 60,
    /**
     * Bounds that one search may follow: so many times what the usual one that ends in a solution does, but
     * at least so many, and so many more for each activity. Without a limit bounds creep upwards by seconds
     * where the length asked for is hopeless: one lesson on 40 dishes took 17 s.
     */
    TIMES: 3,
    LEAST: 10_000,
    EACH: 100,
    /** How much the latest search with a solution counts for the usual one. */
    LATEST: 0.1,
  },
  largeNeighbourhood: {
    /** How often what is free lies together in time: of all, only the ends of it count, or its changes. */
    NEAR: { anything: 0.4, ends: 0.7, changes: 0.6 },
    /** How often it lies anywhere all the same; and of all, up to where it is whole dishes, the rest being places. */
    ANYWHERE: 0.2,
    DISHES: 0.8,
  },
  lnsAdaptation: {
    /** Activities that a neighbourhood leaves free at first, but at most such a share of all. */
    FREE: 17,
    LARGEST_FIRST: 0.25,
    /** The least and the most that is left free, as shares, and how much more or less next time. */
    SMALLEST: 0.03,
    LARGEST: 0.8,
    LARGER: 1.06,
    SMALLER: 0.93,
    /** How much shorter a plan a neighbourhood is asked for, as shares of the gap to the bound. */
    STEPS: [0, 0.02, 0.06, 0.15],
    /**
     * The widest gap that counts for that, as a share of the plan, where a session is learned whole: of 533
     * neighbourhoods asked for 2 % of a gap of 2000 s or more eight gave a plan, and 217 took all their conflicts.
     */
    CLOSE: 0.03,
    /**
     * Each time so many neighbourhoods have given nothing shorter, the next ones may take as many conflicts again as
     * the first, up to so many times: about half a second, as nobody who calls is heard in between. (Six sessions
     * of 18 dishes, two seeds, after 10, 15 and 20 s: 4.7, 3.9 and 2.8 % above the best known where all take the same,
     * 4.3, 2.6 and 1.9 % so.) Not where a session is learned in part.
     */
    DRY: 10,
    LONGEST: 10,
  },
  lcgSolver: {
    /** How much shorter a plan a search everywhere is asked for, as shares of the gap to the bound. */
    EXPLORE: [0, 0.05, 0.2, 0.4],
    /**
     * While there is no plan, how long a first one may be, in bounds, in turn: without any limit an order
     * that cannot be pushes everything later by seconds until the end of time.
     */
    FIRST: [1.5, 2.5, 6, 12],
    /** How often none is set, which alone can prove that there is no plan: in sessions of FEW steps and larger ones. */
    UNLIMITED: [4, 32],
    /** How often a solution that breaks a rule is mended, and conflicts for each time. */
    MENDS: 6,
    /** Missing pauses for hand washing that are said at once. */
    CUTS: 40,
    MEND: 12,
    /**
     * Booleans kept for what is said later: one for every two stretches of hands work, within limits.
     * Where they run out, nothing new can be said, and the same broken solutions come again and again.
     */
    SPARE: [8000, 40_000],
    /** Milliseconds that building takes, per activity squared. */
    BUILD_MS: 0.08,
  },
  incumbent: {
    /** What each step changed from an earlier plan counts for, in seconds of an objective. */
    CHANGE: 60,
  },
  decoder: {
    /** A second of lateness weighs as much as this many of the first objective. */
    LATE: 50,
    /**
     * A schedule that takes so many times the attempts of the first one that came out is given up: in
     * sessions of 40 dishes eight of the first orders took as long as a hundred others, and failed.
     */
    TANGLED: 4,
  },
  allowances: {
    /** A change of dish weighs as much as so many seconds, while searching. */
    CHANGE_OF_DISH: 60,
    /** Weight of each further objective against the one before it, while searching. */
    STEP: 0.02,
    /** A second beyond what an allowance leaves free, against one of what is being made small. */
    BEYOND: 5,
    /** The same of one that it does leave free: long plans that are as calm lead nowhere. */
    SPENT: 0.1,
    /** The share of an allowance that is made use of at first: what is found so leads further than all at once. */
    FIRST: 0.4,
  },
  refinement: {
    /** What comes between two steps is known only where most pairs of them have an order. */
    EVERY_PAIR: { hands: 64, large: SIZES.LARGE, uses: 8 },
    /** Of so many lessons one is everywhere and one at the bound, and how far above it, as a share of the gap. */
    CYCLE: 6,
    EVERYWHERE: 4,
    AT_BOUND: 5,
    RAISE: 0.2,
    /** How much more patience changes of dish get. */
    SWITCHING: 3,
  },
  infeasibleSubset: {
    /** Steps of a search for a plan without one of the limits, before that is left open. */
    STEPS: 60,
    /** Limits that are tried at most. */
    MOST: 60,
  },
  allocator: {
    /** Schedules that are put together before learning helps to go on with what has begun. */
    STUCK: 8,
    /**
     * Up to SMALL steps learning begins after SOON decodes; otherwise after the priority rules and so
     * many more decodes, or attempts to place something. (Twelve sessions of 9 dishes at 1 s: 7.6 %
     * above the best known instead of 9.0 %.)
     */
    SOON: 20,
    WARM_UP: 150,
    WARM_UP_WORK: 100_000,
    /** Every how many steps is for learning: of small sessions it soon knows more than any order tried. */
    LEARNED: { small: 2, large: 3 },
    /** Of so many lessons one is everywhere and one at the bound. */
    CYCLE: 10,
    EVERYWHERE: 8,
    AT_BOUND: 9,
    /**
     * Not in larger sessions while it is fewer steps than these that the plan has become shorter: both
     * mostly end without a result there.
     */
    FRESH: 60,
    /** When copies of the problem are looked at that the search reaches otherwise. */
    COPIES_AT: 3,
    /** Steps without improvement after which the other objectives have a share, if half of all too. */
    STALE: 600,
    /** What that share is: of steps, where the first objective is settled, and where it is not. */
    REFINED: { settled: 2, open: 12 },
  },
  refining: {
    /** Fruitless lessons about one objective before the next, while the plan may get shorter and after. */
    PATIENCE: [6, 24],
    /** For how many steps a lesson about the other objectives counts, which takes that much longer. */
    LESSON_STEPS: 20,
  },
  search: {
    /** Steps without improvement after which a proven optimum is thought as good as it gets. */
    SETTLED: 2000,
    /** Steps without a plan after which it is seen whether there can be one. */
    FIRST: 6,
    /** For how many steps a copy of the problem is searched. */
    COPIED: 150,
  },
  leastBad: {
    /** Decodes for the plan without any limits, for each try to bring one back, and for the last. */
    FIRST: 150,
    TRY: 60,
    LAST: 200,
    /** How far a limit is brought back where it cannot be kept: to half of the excess, a quarter and so on. */
    HALVES: 4,
  },
  learning: {
    /** Conflicts of one lesson. */
    LESSON: 60,
    /** How far above the bound a proof is tried, as a share of the gap. */
    RAISE: 0.1,
  },
  earlyEnds: {
    /** Closings that are tried as an end of the session, at most. */
    MOST: 4,
  },
  solve: {
    /** Milliseconds to find out what an infeasible problem founders on. */
    CLASH_MS: 2000,
  },
  changes: {
    /** A step may begin so many seconds earlier or later and still count as the same. */
    SAME: 60,
  },
} as const

export type SolverParams = typeof PARAMS
