export function postgresPrograms(): string
