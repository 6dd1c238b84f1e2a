import { useLocalStorage } from '@vueuse/core'

/** The name of whoever works at this device, typed once: it goes with every change. Empty until then. */
export const whoHere = useLocalStorage('abri.seenBy', '', { writeDefaults: false })

/** Keeps a name that was typed; an empty one is no other person. */
export function rememberPerson(name: string) {
  if (name.trim()) whoHere.value = name.trim()
}
