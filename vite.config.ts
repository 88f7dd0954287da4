import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vite';
import { arucoAsModule } from './vite.aruco.ts';

export default defineConfig({
  plugins: [sveltekit(), arucoAsModule()],
  worker: { format: 'es', plugins: () => [arucoAsModule()] },
});
