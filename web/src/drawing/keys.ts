import type { Ref } from 'vue'
import type { ViewedFrom } from './facing'

/** Keys that every drawing has: the other side, zoom in and out, fit. Says whether the key was one of them. */
export function drawingKey(
  event: KeyboardEvent,
  from: Ref<ViewedFrom>,
  drawing: { zoomBy: (factor: number) => void; fit: () => void } | null,
): boolean {
  if (event.key === 'i') from.value = from.value === 'outside' ? 'inside' : 'outside'
  else if (event.key === '+') drawing?.zoomBy(1.4)
  else if (event.key === '-') drawing?.zoomBy(1 / 1.4)
  else if (event.key === '0') drawing?.fit()
  else return false
  return true
}
