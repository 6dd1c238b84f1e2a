import '@fontsource/barlow/latin-400.css'
import '@fontsource/barlow/latin-500.css'
import '@fontsource/barlow/latin-600.css'
import '@fontsource/barlow-semi-condensed/latin-600.css'
import './app/style.css'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/router'
import { i18n } from './app/texts'

createApp(App).use(i18n).use(router).mount('#app')
