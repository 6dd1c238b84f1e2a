import { message } from 'ant-design-vue'
import { api, got, type Schemas } from '@/api/client'
import { lengthText } from './length'
import { said, useState } from './state'
import { i18n } from './texts'

/** What a field can be filled with from a meter; the name is that of the field in a reading. */
export type MeterField = 'distanceMm' | 'moisturePercent' | 'temperatureC' | 'humidityPercent'

const devices: Record<MeterField, Schemas['DeviceKind']> = {
  distanceMm: 'distanceMeter',
  moisturePercent: 'moistureMeter',
  temperatureC: 'thermoHygrometer',
  humidityPercent: 'thermoHygrometer',
}

/**
 * Takes one reading of the fitting meter into the field that has the focus. What was typed there stays until a reading has come; one that may be
 * wrong is put in and said to be doubtful. Says whether there was a field to fill.
 */
export function meterIntoFocus(): boolean {
  const field = document.activeElement
  if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) || !field.dataset.meter) return false
  void take(field, field.dataset.meter as MeterField)
  return true
}

async function take(field: HTMLInputElement | HTMLTextAreaElement, what: MeterField) {
  const t = i18n.global.t
  const { lengths } = useState()
  try {
    const reading = await got(api.POST('/api/devices/{device}/reading', { params: { path: { device: devices[what] as never } } }))
    const figure = reading[what]
    if (figure === null) return
    const text = what === 'distanceMm' ? lengthText(figure, lengths.value) : String(figure)
    // A run of readings goes on; any other field is replaced.
    field.value = field instanceof HTMLTextAreaElement && field.value.trim() !== '' ? `${field.value.trimEnd()} / ${text}` : text
    field.dispatchEvent(new Event('input', { bubbles: true }))
    field.dispatchEvent(new Event('change', { bubbles: true }))
    const name = t(`meter.${devices[what]}`)
    if (reading.quality === 'doubtful') void message.warning({ content: t('meter.doubtful', { name, text }), duration: 6 })
    else void message.info(t('meter.read', { name, text }))
  } catch (e) {
    void message.error({ content: said(e), duration: 6 })
  }
}
