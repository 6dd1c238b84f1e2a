// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { i18n } from '@/app/texts'
import DataTable, { type Column } from './DataTable.vue'

interface Row {
  name: string
  mm: number | null
  kind: string
}
const columns: Column<Row>[] = [
  { key: 'name', title: 'Joint', text: (r) => r.name },
  { key: 'mm', title: 'Length', text: (r) => (r.mm === null ? 'not known' : `${r.mm} mm`), figure: (r) => r.mm },
  { key: 'kind', title: 'Kind', text: (r) => r.kind, narrows: true },
]
const rows: Row[] = [
  { name: 'Seam 10', mm: 90, kind: 'seam' },
  { name: 'Seam 9', mm: 1000, kind: 'seam' },
  { name: 'Vent', mm: null, kind: 'flange' },
]
const table = (of: Row[] = rows) =>
  mount(DataTable<Row>, { props: { columns, rows: of, keyOf: (r: Row) => r.name }, global: { plugins: [i18n] } })
type Shown = ReturnType<typeof table>
const names = (shown: Shown) => shown.findAll('tbody tr.ant-table-row').map((r) => r.find('button').text())

describe('a table', () => {
  it('sorts a column of figures by its figures, and names as people count', async () => {
    const shown = table()
    const heads = shown.findAll('th')
    await heads[1]!.trigger('click')
    expect(names(shown)).toEqual(['Vent', 'Seam 10', 'Seam 9'])
    await heads[1]!.trigger('click')
    expect(names(shown)).toEqual(['Seam 9', 'Seam 10', 'Vent'])
    await heads[0]!.trigger('click')
    expect(names(shown)).toEqual(['Seam 9', 'Seam 10', 'Vent'])
  })

  it('opens a row by a tap anywhere in it, and once by its button', async () => {
    const shown = table()
    await shown.findAll('tbody tr.ant-table-row')[1]!.trigger('click')
    await shown.findAll('tbody tr.ant-table-row button')[2]!.trigger('click')
    expect(shown.emitted('open')).toEqual([[rows[1]], [rows[2]]])
  })

  it('has pages from the fifty-first row on', () => {
    const many = (n: number) => Array.from({ length: n }, (_, i) => ({ name: `Seam ${i}`, mm: i, kind: 'seam' }))
    expect(table(many(50)).find('.ant-pagination').exists()).toBe(false)
    const paged = table(many(51))
    expect(paged.find('.ant-pagination').exists()).toBe(true)
    expect(names(paged)).toHaveLength(50)
  })

  it('says that nothing was found', () => {
    expect(table([]).text()).toContain('Nothing found')
  })
})
