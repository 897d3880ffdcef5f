import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["@electric-sql/pglite", "postgres", "sharp", "pdfkit"],
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: "64mb" }, proxyClientMaxBodySize: "64mb" },
  typescript: { ignoreBuildErrors: false },
};

export default config;
