/** Working limits for solid joists. Source: Approved Document A and new-home warranty practice; two schools for notches. */
export const timberRules = {
  hole: { from: 0.25, to: 0.4, size: 0.25, spacing: 3 },
  notch: {
    warranty: { from: 0.1, to: 0.2, depth: 0.15, edges: ["top"] },
    "on-site": { from: 0.07, to: 0.25, depth: 0.125, edges: ["top", "bottom"] },
  },
  apart: 100,
  mostDepth: 250,
  cableEdge: 50,
  axisTolerance: 5,
} as const;
