/**
 * The statements that make the table of a new kind of record, for its migration: what every record carries, that it goes
 * with its build and hangs from its parent, and that its id is nobody else's.
 *
 * Migrations that have landed rely on it: what has to be otherwise from some day on is another function.
 *
 * @param columns its own fields, as in CREATE TABLE
 * @param parent the table that it hangs from, and the column that says so
 * @example recordTable('tilt_tests', 'date text NOT NULL, mass double precision NOT NULL', { table: 'stages', column: 'stage_id' })
 */
export function recordTable(
  table: string,
  columns: string,
  parent?: { readonly table: string; readonly column: string },
): string {
  const hangs = parent
    ? `${parent.column} uuid NOT NULL,
       FOREIGN KEY (${parent.column}, build_id) REFERENCES ${parent.table} (id, build_id) DEFERRABLE INITIALLY DEFERRED,`
    : ''
  const byParent = parent ? `CREATE INDEX ${table}_by_${parent.column} ON ${table} (${parent.column});` : ''
  return `
    CREATE TABLE ${table} (
      id uuid PRIMARY KEY,
      workshop_id uuid NOT NULL,
      build_id uuid NOT NULL,
      version integer NOT NULL DEFAULT 1 CHECK (version > 0),
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now(),
      ${hangs}
      ${columns},
      UNIQUE (id, build_id),
      FOREIGN KEY (build_id, workshop_id) REFERENCES builds (id, workshop_id) ON DELETE CASCADE
    );
    CREATE INDEX ${table}_by_build ON ${table} (build_id);
    ${byParent}
    CREATE TRIGGER ${table}_ids_added AFTER INSERT ON ${table}
      REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION record_ids_added();
    CREATE TRIGGER ${table}_ids_gone AFTER DELETE ON ${table}
      REFERENCING OLD TABLE AS gone FOR EACH STATEMENT EXECUTE FUNCTION record_ids_gone();`
}
