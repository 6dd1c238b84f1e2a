// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { reactive } from 'vue'
import { describe, expect, it } from 'vitest'
import type { Fitting } from '@/api/client'
import { i18n } from '@/app/texts'
import FittingPlan from './FittingPlan.vue'
import FittingSection from './FittingSection.vue'

const box = (widthMm: number, heightMm: number, cornerRadiusMm: number) => ({ widthMm, heightMm, cornerRadiusMm })
const vent = () =>
  reactive({
    flange: box(490, 490, 30),
    cutOut: box(400, 300, 20),
    neck: box(396, 296, 18),
    leastLapMm: 25,
    beddingMostMm: 12,
    flatnessMm: 1,
    toleranceMinusMm: 1,
    tolerancePlusMm: 4,
  }) as unknown as Fitting
const shown = (component: typeof FittingPlan | typeof FittingSection, fitting: Fitting) =>
  mount(component, { props: { modelValue: fitting }, global: { plugins: [i18n] } })
const figure = (el: { attributes: (name: string) => string | undefined }, name: string) => Number(el.attributes(name))

describe('the plan of a fitting', () => {
  it('draws its parts to one scale, one about the middle of the other', () => {
    const plan = shown(FittingPlan, vent())
    const [flange, cutOut, neck] = ['flange', 'cutOut', 'neck'].map((part) => plan.get(`g.${part} rect`))
    const scale = figure(flange!, 'width') / 490
    expect(figure(cutOut!, 'width')).toBeCloseTo(400 * scale, 6)
    expect(figure(cutOut!, 'height')).toBeCloseTo(300 * scale, 6)
    expect(figure(neck!, 'height')).toBeCloseTo(296 * scale, 6)
    const middle = (el: typeof flange) => figure(el!, 'y') + figure(el!, 'height') / 2
    expect(middle(cutOut)).toBeCloseTo(middle(flange), 6)
  })

  it('has a figure for each width, height and radius, and marks the part whose figure is typed', async () => {
    const plan = shown(FittingPlan, vent())
    expect(plan.findAll('input').map((i) => (i.element as HTMLInputElement).value)).toEqual([
      '490 mm',
      '400 mm',
      '396 mm',
      '490 mm',
      '300 mm',
      '296 mm',
      '30 mm',
      '20 mm',
      '18 mm',
    ])
    await plan.findAll('input')[4]!.trigger('focusin')
    expect(plan.findAll('g.on').map((g) => g.classes())).toEqual([['cutOut', 'on']])
    await plan.findAll('input')[4]!.trigger('focusout')
    expect(plan.findAll('g.on')).toHaveLength(0)
  })

  it('follows what is typed, and stays a drawing while a figure is nothing', async () => {
    const fitting = vent()
    const plan = shown(FittingPlan, fitting)
    const before = figure(plan.get('g.cutOut rect'), 'height')
    fitting.cutOut.heightMm = 150
    await plan.vm.$nextTick()
    expect(figure(plan.get('g.cutOut rect'), 'height')).toBeCloseTo(before / 2, 6)
    for (const part of [fitting.flange, fitting.cutOut, fitting.neck]) part.widthMm = part.heightMm = 0
    await plan.vm.$nextTick()
    expect(plan.html()).not.toMatch(/NaN|Infinity/)
  })
})

describe('the edge of a fitting, cut through', () => {
  it('draws lap and bedding to one scale, however large they are', async () => {
    const fitting = vent()
    const section = shown(FittingSection, fitting)
    for (const [lap, deep] of [
      [25, 12],
      [10, 40],
      [200, 3],
      [0, 0],
    ] as const) {
      fitting.leastLapMm = lap
      fitting.beddingMostMm = deep
      await section.vm.$nextTick()
      const bedding = section.get('rect.bedding')
      const [wide, high] = [figure(bedding, 'width'), figure(bedding, 'height')]
      if (deep > 0) expect(high / wide).toBeCloseTo(deep / lap, 6)
      expect(figure(bedding, 'x')).toBeGreaterThan(20)
      expect(figure(bedding, 'y')).toBeGreaterThan(30)
    }
  })

  it('draws a small tolerance as a line, since the heads of an arrow would cross', async () => {
    const fitting = vent()
    const section = shown(FittingSection, fitting)
    const short = () => section.findAll('.dimension').map((d) => d.classes('short'))
    expect(short()).toEqual([false, false, true, false])
    fitting.tolerancePlusMm = 0.5
    await section.vm.$nextTick()
    expect(short()).toEqual([false, false, true, true])
  })
})
