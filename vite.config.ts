import { reactRouter } from "@react-router/dev/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [tailwindcss(), reactRouter()],
  resolve: { tsconfigPaths: true },
  worker: { format: "es" },
  // Small fonts would become data: URLs, which the content security policy refuses.
  build: { assetsInlineLimit: 0 },
  optimizeDeps: {
    // Every browser dependency by name, so that the dev server never reloads in the middle of work.
    include: [
      "react",
      "react-dom",
      "react-dom/client",
      "react-router",
      "react-router/dom",
      "zod",
      "idb",
      "radix-ui",
      "lucide-react",
      "get-nonce",
      "class-variance-authority",
      "react-day-picker",
      "date-fns",
      "@tanstack/react-table",
      "@tanstack/react-virtual",
      "react-hook-form",
      "@hookform/resolvers",
      "@dnd-kit/core",
      "@dnd-kit/sortable",
      "@dnd-kit/utilities",
      "uuid",
      "recharts",
      "qr/decode.js",
    ],
    exclude: ["pg", "sharp", "@node-rs/argon2"],
  },
  server: { host: "127.0.0.1", strictPort: true },
  environments: {
    // Nameless: every page carries the list of all files, and each file the names of those it needs.
    client: {
      build: {
        rollupOptions: { output: { entryFileNames: "assets/[hash].js", chunkFileNames: "assets/[hash].js" } },
      },
    },
    ssr: { build: { rollupOptions: { input: "./server/app.ts" } } },
  },
});
