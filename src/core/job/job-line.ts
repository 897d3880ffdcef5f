/** A job on the list: its name, how much is in it, and when it was last changed (ISO 8601, UTC). */
export interface JobLine {
  id: string;
  name: string;
  address: string;
  rooms: number;
  points: number;
  circuits: number;
  updatedAt: string;
}
