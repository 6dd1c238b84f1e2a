import { select } from 'd3-selection'
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom'
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, onMounted, ref, watch, type Ref } from 'vue'
import type { Point } from '@/api/client'
import type { Box } from './geometry'

/** A drawing in true scale in an SVG element: millimetres to pixels and back, with zoom by wheel, pinch and keys, pan by drag. */
export function useViewport(
  svg: Ref<SVGSVGElement | null>,
  bounds: () => Box,
  signs: () => { s: 1 | -1; t: 1 | -1 },
  margin = { left: 46, top: 34, right: 18, bottom: 44 },
) {
  const { width, height } = useElementSize(svg)
  const transform = ref({ k: 1, x: 0, y: 0 })
  let behaviour: ZoomBehavior<SVGSVGElement, unknown> | null = null

  const base = computed(() => {
    const b = bounds()
    const w = Math.max(50, width.value - margin.left - margin.right)
    const h = Math.max(50, height.value - margin.top - margin.bottom)
    const k = Math.min(w / Math.max(1, b.s2 - b.s1), h / Math.max(1, b.t2 - b.t1))
    const sign = signs()
    return {
      k,
      x: margin.left + w / 2 - sign.s * k * ((b.s1 + b.s2) / 2),
      y: margin.top + h / 2 + sign.t * k * ((b.t1 + b.t2) / 2),
      sign,
    }
  })
  const scale = computed(() => base.value.k * transform.value.k)
  const x = (sMm: number) => (base.value.x + base.value.sign.s * base.value.k * sMm) * transform.value.k + transform.value.x
  const y = (tMm: number) => (base.value.y - base.value.sign.t * base.value.k * tMm) * transform.value.k + transform.value.y
  const toPanel = (px: number, py: number): Point => ({
    sMm: (((px - transform.value.x) / transform.value.k - base.value.x) / base.value.k) * base.value.sign.s,
    tMm: ((base.value.y - (py - transform.value.y) / transform.value.k) / base.value.k) * base.value.sign.t,
  })
  const path = (points: readonly Point[]) =>
    'M' + points.map((p) => `${x(p.sMm).toFixed(2)} ${y(p.tMm).toFixed(2)}`).join('L') + 'Z'

  onMounted(() => {
    if (!svg.value) return
    behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.5, 40])
      // What is dragged itself, and fields on the drawing, keep their own gestures.
      .filter((event: Event) => !(event.target as Element).closest('[data-draggable]') && !(event as MouseEvent).button)
      .on(
        'zoom',
        ({ transform: t }: { transform: { k: number; x: number; y: number } }) => (transform.value = { k: t.k, x: t.x, y: t.y }),
      )
    select(svg.value).call(behaviour).on('dblclick.zoom', null)
  })
  const fit = () => svg.value && behaviour && select(svg.value).call(behaviour.transform, zoomIdentity)
  const panBy = (px: number, py: number) =>
    svg.value && behaviour && select(svg.value).call(behaviour.translateBy, px / transform.value.k, py / transform.value.k)
  // Alt with an arrow moves the drawing; the bare arrows move what is in hand.
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const step = { ArrowLeft: [80, 0], ArrowRight: [-80, 0], ArrowUp: [0, 80], ArrowDown: [0, -80] }[event.key]
    if (!event.altKey || !step) return
    event.preventDefault()
    panBy(step[0]!, step[1]!)
  })
  const zoomBy = (factor: number) => svg.value && behaviour && select(svg.value).call(behaviour.scaleBy, factor)
  watch(
    () => signs().s * 2 + signs().t,
    () => fit(),
  )

  return { width, height, scale, x, y, toPanel, path, fit, zoomBy, sign: computed(() => base.value.sign) }
}

export type Viewport = ReturnType<typeof useViewport>
