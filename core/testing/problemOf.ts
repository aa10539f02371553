import { readProblem, type Problem, type ProblemInput } from '../problem'

/** A problem as it is read, of one cook and nothing else but what is given. For tests. */
export function problemOf(input: Partial<ProblemInput>): Problem {
  const reading = readProblem({
    format: 'cadrum/problem@1',
    name: 'test',
    cooks: [{ id: 'ana' }],
    stations: [],
    activities: [],
    ...input,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
