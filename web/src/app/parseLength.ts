import { api, ApiProblem, got, underWay, type LengthFormat } from '@/api/client'
import { mmPerInch } from './length'

/** A plain number in the unit of the vehicle, or in mm where that is said. */
function plain(text: string, lengths: LengthFormat): number | null {
  const [, number, mm] = text.trim().match(/^(\d+(?:[.,]\d+)?)\s*(mm)?$/) ?? []
  return number === undefined ? null : Number(number.replace(',', '.')) * (mm || lengths.units === 'mm' ? 1 : mmPerInch)
}

/** Reads a typed length, mm; the server does the reading, and without a connection a plain number is read here. */
export async function parseLength(text: string, lengths: LengthFormat): Promise<number> {
  const call = got(api.POST('/api/calculators/length-parse', { body: { text, lengths } }))
  underWay.add(call)
  try {
    return (await call).result.mm
  } catch (e) {
    const number = plain(text, lengths)
    if (number === null || !(e instanceof ApiProblem) || e.status !== 0) throw e
    return number
  } finally {
    underWay.delete(call)
  }
}

/**
 * Waits until every length that is being read, every change before this one and what it makes read anew has arrived; forms wait for it before
 * they save. Says whether all lengths could be read: with one that could not, nothing is saved, and it stays where it was typed with its advice.
 */
export async function lengthsRead(): Promise<boolean> {
  // A field reads its text on leaving it, which may come just after the click that saves.
  await new Promise((resolve) => setTimeout(resolve))
  while (underWay.size > 0) {
    await Promise.allSettled([...underWay])
    await new Promise((resolve) => setTimeout(resolve))
  }
  const unread = [...document.querySelectorAll<HTMLElement>('[aria-invalid="true"]')].filter((field) => field.checkVisibility())
  // An open dialogue saves its own fields; those of the page behind it wait for theirs.
  const dialogue = unread.find((field) => field.closest('[role="dialog"]'))
  const open = [...document.querySelectorAll<HTMLElement>('[role="dialog"]')].some((d) => d.checkVisibility())
  const first = open ? dialogue : unread[0]
  first?.focus()
  return first === undefined
}
