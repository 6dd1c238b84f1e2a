import { glossary } from '@/app/texts/glossary'

/** A part of a text; `word` where it is a word of the glossary. */
export interface Part {
  text: string
  word?: keyof typeof glossary
}

const words = Object.keys(glossary) as (keyof typeof glossary)[]
// The longest first, so that of two that begin alike the whole one is found; one word or several of a thing.
const found = new RegExp(`\\b(${[...words].sort((a, b) => b.length - a.length).join('|')})s?\\b`, 'gi')

/** A text in parts: the first time a word of the glossary stands in it, the word is a part of its own. */
export function partsOf(text: string): Part[] {
  const parts: Part[] = []
  const told = new Set<string>()
  let from = 0
  for (const hit of text.matchAll(found)) {
    const word = hit[1]!.toLowerCase() as (typeof words)[number]
    if (told.has(word)) continue
    told.add(word)
    if (hit.index > from) parts.push({ text: text.slice(from, hit.index) })
    parts.push({ text: hit[0], word })
    from = hit.index + hit[0].length
  }
  if (from < text.length) parts.push({ text: text.slice(from) })
  return parts
}
