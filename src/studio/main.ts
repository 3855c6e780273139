import '@fontsource-variable/bricolage-grotesque/wght.css'
import '@fontsource-variable/figtree/wght.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import './parts/look/base.css'
import { router } from './router.ts'
import { tellFault } from './store/faults.ts'

const app = createApp(App).use(createPinia()).use(router)
app.config.errorHandler = tellFault
app.mount('#app')
