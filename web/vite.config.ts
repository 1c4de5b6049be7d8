import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { shell } from './shell/plugin.ts'

export default defineConfig({
  plugins: [react(), tailwindcss(), shell()],
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 1500 },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4787' } },
})
