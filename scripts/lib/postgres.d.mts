/** What tests use of a cluster; see `postgres.mjs`. */
export class Cluster {
  constructor(folder: string);
  runningUrl(database: string): string | null;
  upgrade(oldBin: string, newBin: string, version: string): Promise<void>;
}
export function versionPlan(
  name: string | null,
  installed: readonly string[],
): { run?: string; from?: string; missing?: string | null };
