import { useEventListener } from '@vueuse/core'

/** Whether a key press belongs to a field that is being typed in, or to an open dialogue. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement
  return target.closest('input, textarea, select, [contenteditable], .ant-modal, .ant-drawer') !== null
}

/** Calls back on keys that are not typed into a field; a callback that returns true has used the key. */
export function useKeys(handle: (event: KeyboardEvent) => boolean): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented || isTyping(event) || event.altKey) return
    if (handle(event)) event.preventDefault()
  })
}
