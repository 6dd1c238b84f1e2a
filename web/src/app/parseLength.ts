import { api, got, type LengthFormat } from '@/api/client'

const underWay = new Set<Promise<unknown>>()

/** Reads a typed length, mm; the server does the reading. */
export async function parseLength(text: string, lengths: LengthFormat): Promise<number> {
  const call = got(api.POST('/api/calculators/length-parse', { body: { text, lengths } }))
  underWay.add(call)
  try {
    return (await call).result.mm
  } finally {
    underWay.delete(call)
  }
}

/** Waits until every length that is being read has arrived; forms wait for it before they save. */
export async function lengthsRead(): Promise<void> {
  // A field reads its text on leaving it, which may come just after the click that saves.
  await new Promise((resolve) => setTimeout(resolve))
  while (underWay.size > 0) {
    await Promise.allSettled([...underWay])
    await new Promise((resolve) => setTimeout(resolve))
  }
}

/** Whether a field on the page holds something that cannot be read. */
export const anyUnread = (form: HTMLElement | null): boolean => form?.querySelector('[aria-invalid="true"]') != null
