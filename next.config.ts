import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["@electric-sql/pglite", "postgres", "sharp", "pdfkit"],
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: "64mb" }, proxyClientMaxBodySize: "64mb" },
  // Where the types have been checked already the build need not do so again.
  typescript: { ignoreBuildErrors: process.env.LUMBET_TYPES === "checked" },
};

export default config;
