/** A name for a new thing that no other has: the plain one, or the next number behind it. Whoever types another may repeat one. */
export function newName(base: string, taken: readonly string[]): string {
  if (!taken.includes(base)) return base
  let n = 2
  while (taken.includes(`${base} ${n}`)) n++
  return `${base} ${n}`
}

/** Whether nobody typed a name: it is empty, or one that was offered. */
export const wasOffered = (name: string, bases: readonly string[]): boolean =>
  name.trim() === '' ||
  bases.some((base) => name === base || (name.startsWith(`${base} `) && /^\d+$/.test(name.slice(base.length + 1))))
