import '@fontsource/source-sans-3/latin-400.css'
import '@fontsource/source-sans-3/latin-500.css'
import '@fontsource/source-sans-3/latin-600.css'
import '@fontsource/barlow-semi-condensed/latin-600.css'
import './app/tokens.css'
import './app/style.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import { cache } from './api/cache'
import App from './app/App.vue'
import { router } from './app/router'
import { i18n } from './app/texts'

createApp(App).use(i18n).use(router).use(VueQueryPlugin, { queryClient: cache }).mount('#app')
