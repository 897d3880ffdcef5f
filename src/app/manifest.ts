import type { MetadataRoute } from "next";

/** What a phone needs to keep the application on its screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: "Lumbet",
    short_name: "Lumbet",
    description: "Plan and carry out electrical first fix.",
    start_url: "/",
    display: "standalone",
    background_color: "#1d2a28",
    theme_color: "#1d2a28",
    icons: [
      { src: "/icons/192.png", sizes: "192x192", type: "image/png" },
      { src: "/icons/512.png", sizes: "512x512", type: "image/png" },
    ],
  };
}
