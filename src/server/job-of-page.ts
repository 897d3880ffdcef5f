import { cache } from "react";
import { database } from "../data/client";
import { findJob } from "../data/jobs";

/** The job of a page, read once for its title and all that is on it. */
export const jobOfPage = cache(async (id: string) => findJob(await database(), id));
