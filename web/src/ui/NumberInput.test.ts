// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { bounds } from '@/api/bounds'
import { i18n } from '@/app/texts'
import NumberInput from './NumberInput.vue'

const field = (required: boolean) =>
  mount(NumberInput<number | null>, {
    props: { modelValue: 20 as number | null, label: 'Humidity', bounds: bounds.AirHour.relativePercent, required },
    global: { plugins: [i18n] },
  })

describe('a number', () => {
  it('goes out up to its bounds and not beyond them', async () => {
    const shown = field(false)
    for (const text of ['0', '100', '100.1', '-0.1', '55,5']) await shown.find('input').setValue(text)
    expect(shown.emitted('update:modelValue')).toEqual([[0], [100], [55.5]])
  })

  it('says its range in its unit while it is out of it', async () => {
    const shown = field(false)
    await shown.find('input').setValue('140')
    expect(shown.find('[role=alert]').text()).toBe('The humidity must lie between 0 % and 100 %.')
    expect(shown.find('input').attributes('aria-invalid')).toBe('true')
    await shown.find('input').setValue('40')
    expect(shown.find('[role=alert]').exists()).toBe(false)
  })

  it('is empty only where it may be', async () => {
    const optional = field(false)
    await optional.find('input').setValue('')
    expect(optional.emitted('update:modelValue')).toEqual([[null]])
    const required = field(true)
    await required.find('input').setValue('')
    await required.find('input').setValue('five')
    expect(required.emitted('update:modelValue')).toBeUndefined()
    expect(required.find('[role=alert]').exists()).toBe(true)
  })
})
