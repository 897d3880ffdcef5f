import fc from "fast-check";

/** Under mutation every property is asked with few examples: thousands of mutants share the time. */
fc.configureGlobal({ numRuns: 10 });
