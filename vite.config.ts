import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { constants } from 'node:zlib';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [
    // For workers of the server: what draws design models small, into bootstrap/ssr.
    laravel({ input: ['resources/css/app.css', 'resources/js/main.tsx'], ssr: 'resources/js/models/draw.ts' }),
    react(),
    tailwindcss(),
    // Compressed once, as well as can be; nginx serves what the browser takes.
    compression({
      include: /\.(js|mjs|css|svg)$/,
      threshold: 512,
      algorithms: [
        defineAlgorithm('gzip', { level: 9 }),
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
      ],
    }),
    // What reads design models is large, and seldom asked for: half a minute of every build for a quarter less of it is too dear.
    compression({ include: /\.wasm$/, algorithms: [defineAlgorithm('gzip', { level: 9 })] }),
  ],
  resolve: { alias: { '@': '/resources/js' } },
  // What reads design models is of its own, with what it needs.
  worker: { format: 'es' },
  build: { chunkSizeWarningLimit: 600 },
});
