import '@fontsource-variable/bricolage-grotesque/wght.css'
import '@fontsource-variable/figtree/wght.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import './parts/look/base.css'
import { router } from './router.ts'

const app = createApp(App).use(createPinia()).use(router)
// the browser writes it to its console, and FaultBar tells of it
app.config.errorHandler = (error) => reportError(error)
app.mount('#app')
