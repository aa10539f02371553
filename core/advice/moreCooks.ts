import type { Asked } from './trial'

/** Each person of the kitchen who does not cook in a session, with who cooks where they do. */
export const moreCooks = ({ session, kitchen }: Asked) =>
  kitchen.people
    .filter((p) => !session.cooks.includes(p.id))
    .map((p) => ({
      id: `with ${p.id}`,
      words: `${p.name} cooks too`,
      cooks: [...session.cooks, p.id],
    }))
