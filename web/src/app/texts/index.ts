import { createI18n } from 'vue-i18n'
import { en } from './en'

/** All texts of the screens stand in one catalogue per language. */
export const i18n = createI18n({ legacy: false, locale: 'en', messages: { en } })
