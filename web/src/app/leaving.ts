import { Modal } from 'ant-design-vue'
import { i18n } from './texts'

/** Asks before something that is not saved is dropped. */
export function askToDrop(what: string, drop: () => void): void {
  const t = i18n.global.t
  Modal.confirm({
    title: what,
    okText: t('app.drop'),
    okType: 'default',
    okButtonProps: { danger: true },
    cancelText: t('app.keepOn'),
    cancelButtonProps: { type: 'primary' },
    autoFocusButton: 'cancel',
    onOk: drop,
  })
}

/** How a dialogue is left: at once by its own Cancel or where nothing was typed; Esc and a tap beside it ask first. */
export function leaving(isTyped: () => boolean, close: () => void): (event: Event) => void {
  return (event) => {
    const byCancel = (event.target as HTMLElement | null)?.closest?.('.ant-modal-footer')
    if (byCancel || !isTyped()) close()
    else askToDrop(i18n.global.t('app.dropTyped'), close)
  }
}
