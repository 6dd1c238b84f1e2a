import { Modal } from 'ant-design-vue'
import { watch } from 'vue'
import { i18n } from './texts'

/** Asks before something that is not saved is dropped. */
export function askToDrop(what: string, drop: () => void): void {
  const t = i18n.global.t
  Modal.confirm({ title: what, okText: t('app.drop'), cancelText: t('app.keepOn'), autoFocusButton: 'cancel', onOk: drop })
}

/**
 * How a dialogue is left: at once by its own Cancel or where nothing was typed; Esc and a tap beside it ask first.
 * The value is null while the dialogue is closed.
 */
export function useLeaving(value: () => unknown, close: () => void): (event: Event) => void {
  let before = ''
  watch(
    () => value() !== null,
    () => (before = JSON.stringify(value())),
    { immediate: true },
  )
  return (event) => {
    const byCancel = (event.target as HTMLElement | null)?.closest?.('.ant-modal-footer')
    if (byCancel || JSON.stringify(value()) === before) close()
    else askToDrop(i18n.global.t('app.dropTyped'), close)
  }
}
