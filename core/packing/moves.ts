import type { Issue, Reading } from '../reading'
import { isPast, lyingOf, rounded } from './lying'
import { misplaced } from './misplaced'
import { packSchema, type Move, type Pack } from './schema'

/**
 * The pack with one thing more that happened to it. What would hurt somebody or cannot be is refused: what has
 * thawed is not frozen again, what is past its day is not eaten, frozen or given away, and nothing is more
 * than is left. A clock that was set back changes nothing in the order: what is told later happened later.
 */
export function withMove(pack: Pack, told: Move): Reading<Pack> {
  const last = pack.moves.at(-1)?.at ?? pack.at
  const move = told.at < last ? { ...told, at: last } : told
  const now = lyingOf(pack)
  const day = move.at.slice(0, 10)
  const past = isPast(now, day)
  const wrong = (message: string, allowed: string): Reading<Pack> => ({
    ok: false,
    issues: [{ path: pack.name, message, allowed }],
  })
  if (move.kind === 'moved') {
    if (now.left <= 0) return wrong('is all gone', 'what is still there')
    if (move.place === now.place) {
      if (move.where !== now.where) return done(pack, move)
      return wrong(`lies in the ${now.place} already`, 'another place')
    }
    if (move.place === 'freezer' && now.thawed)
      return wrong(
        'has thawed, and is not frozen again: germs grew while it thawed and would go on from there',
        `eat it by ${now.eatBy}; cooked into another dish it may be frozen`,
      )
    if (past) return wrong(`is past its day since ${now.eatBy}`, 'throw it away')
    const not = misplaced(pack.keeps, move.place)
    if (not) return wrong(not.message, not.allowed)
    return done(pack, move)
  }
  if (!(move.portions > 0) || move.portions > now.left + 1e-9)
    return wrong(
      `has ${now.left} left, ${move.portions} cannot be taken`,
      `more than 0, up to ${now.left}`,
    )
  const anyway = move.kind === 'eaten' && move.anyway
  if (past && move.kind !== 'thrown' && !anyway)
    return wrong(`is past its day since ${now.eatBy}`, 'throw it away')
  return done(pack, { ...move, portions: rounded(move.portions) })
}

function done(pack: Pack, move: Move): Reading<Pack> {
  const read = packSchema.safeParse({ ...pack, moves: [...pack.moves, move] })
  if (read.success) return { ok: true, value: read.data }
  const issues: Issue[] = read.error.issues.map((i) => ({
    path: i.path.join('.'),
    message: i.message,
    allowed: 'something that happened to a pack',
  }))
  return { ok: false, issues }
}
