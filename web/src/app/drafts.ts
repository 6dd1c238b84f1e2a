import { useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'

/** What somebody typed and did not save. */
export interface Draft {
  /** What it is, in a few words. */
  what: string
  /** Where it was typed. */
  path: string
  /** When, ISO 8601. */
  at: string
  value: unknown
}

/** Most drafts that are kept in a browser; the oldest go. */
const most = 20

/** Kept in the browser, so that a reload, a dead server or a fallen phone loses nothing. */
const name = 'abri.drafts'
type Drafts = Record<string, Draft>
function kept(): Drafts {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '{}') as Drafts
  } catch {
    return {}
  }
}
const drafts = ref<Drafts>(kept())
/** Changes what is kept: on top of what is there now, so that two windows lose nothing of one another, and written down at once. */
function change(by: (all: Drafts) => void) {
  const all = kept()
  by(all)
  drafts.value = all
  try {
    localStorage.setItem(name, JSON.stringify(all))
  } catch {
    // A full or forbidden store: what is typed still stands in its editor.
  }
}
// Another window has changed what is kept.
useEventListener('storage', (event) => event.key === name && (drafts.value = kept()))
/** Drafts that stand in an editor right now. */
const live = reactive(new Set<string>())
/** The draft that somebody wants to go on with. */
const wanted = ref<string | null>(null)

const kindOf = (key: string) => key.slice(0, key.lastIndexOf(' '))

/** What an editor keeps of itself while it is typed in. */
export interface DraftOf<T> {
  /** Which editor it is, with the record or vehicle that it is about. */
  kind: () => string
  /** What is typed; null while the editor is closed. */
  typed: () => T | null
  /** What is saved, for an editor that always stands open; a dialogue compares with what it opened with. */
  saved?: () => T
  /** Where to go on with it, where that is not the address at which it was typed. */
  path?: () => string
  /** What it is called in the list of drafts. */
  what: () => string
  /** Goes on with a draft. */
  take: (value: T) => void
}

/** Keeps what is typed in an editor until it is saved or dropped, and takes it up again on demand. Tells whether there is anything that is not saved. */
export function useDraft<T>(editor: DraftOf<T>): () => boolean {
  const route = useRoute()
  let key: string | null = null
  let opened: string | null = null

  function forget() {
    if (key !== null) {
      const old = key
      live.delete(old)
      change((all) => delete all[old])
    }
    key = null
  }
  function keep(value: T) {
    const own = (key ??= `${editor.kind()} ${crypto.randomUUID()}`)
    live.add(own)
    change((all) => {
      all[own] = { what: editor.what(), path: editor.path?.() ?? route.fullPath, at: new Date().toISOString(), value }
      const inTime = Object.entries(all).sort(([, a], [, b]) => b.at.localeCompare(a.at))
      for (const [old] of inTime.slice(most)) delete all[old]
    })
  }
  watch(
    [wanted, editor.kind],
    () => {
      if (wanted.value === null || kindOf(wanted.value) !== editor.kind()) return
      const draft = drafts.value[wanted.value]
      key = wanted.value
      wanted.value = null
      if (!draft) return
      opened = ''
      live.add(key)
      editor.take(draft.value as T)
    },
    { immediate: true },
  )
  watch(
    () => JSON.stringify([editor.typed(), editor.saved?.()]),
    () => {
      const typed = editor.typed()
      if (typed === null) {
        opened = null
        forget()
        return
      }
      const now = JSON.stringify(typed)
      if (!editor.saved && opened === null) opened = now
      if (now === (editor.saved ? JSON.stringify(editor.saved()) : opened)) forget()
      else keep(JSON.parse(now) as T)
    },
    { immediate: true },
  )
  onScopeDispose(() => key !== null && live.delete(key))
  return () => key !== null
}

/** The drafts that stand in no editor, newest first. */
export function useDrafts() {
  const left = computed(() =>
    Object.entries(drafts.value)
      .filter(([key]) => !live.has(key))
      .map(([key, draft]) => ({ key, ...draft }))
      .sort((a, b) => b.at.localeCompare(a.at)),
  )
  return {
    left,
    takeUp: (key: string) => (wanted.value = key),
    drop: (key: string) => change((all) => delete all[key]),
  }
}
