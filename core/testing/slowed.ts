import type { Problem } from '../problem'

/** The same problem with everything taking so many times as long, by an exact factor. */
export function slowed(problem: Problem, factor: number): Problem {
  const times = <T>(value: T): T =>
    (typeof value === 'number'
      ? value * factor
      : Array.isArray(value)
        ? value.map(times)
        : value && typeof value === 'object'
          ? Object.fromEntries(Object.entries(value).map(([k, v]) => [k, times(v)]))
          : value) as T
  const { cooks, stations, activities, relations, hygiene, deadline } = problem
  return {
    ...problem,
    hygiene: times(hygiene),
    ...(deadline === undefined ? {} : { deadline: times(deadline) }),
    cooks: cooks.map((c) => ({ ...c, unavailable: times(c.unavailable) })),
    stations: stations.map((s) => ({
      ...s,
      unavailable: times(s.unavailable),
      ...(s.wash
        ? {
            wash: {
              ...s.wash,
              seconds: times(s.wash.seconds),
              ...(s.wash.between ? { between: times(s.wash.between) } : {}),
            },
          }
        : {}),
      ...(s.oven
        ? {
            oven: {
              ...s.oven,
              heatSecondsPerDegree: times(s.oven.heatSecondsPerDegree),
              coolSecondsPerDegree: times(s.oven.coolSecondsPerDegree),
            },
          }
        : {}),
    })),
    activities: activities.map((a) => ({
      ...a,
      ...(a.release === undefined ? {} : { release: times(a.release) }),
      ...(a.due === undefined ? {} : { due: times(a.due) }),
      modes: a.modes.map((m) => ({
        ...m,
        phases: m.phases.map((p) => ({ ...p, seconds: times(p.seconds) })),
      })),
    })),
    relations: relations.map((r) => ({
      ...r,
      min: times(r.min),
      ...(r.max === undefined ? {} : { max: times(r.max) }),
    })),
  }
}
