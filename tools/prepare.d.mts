export function prepare(): void;
export function nodeProblem(version: string): string | undefined;
export function diskProblem(freeMb: number, folder: string): string | undefined;
