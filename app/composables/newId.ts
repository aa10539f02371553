let made = 0

/** A name that never comes twice, whichever tab or device gives it. */
export const newId = () =>
  `${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 8)}-${made++}`
