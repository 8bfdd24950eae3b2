/**
 * The version of a job document: the one constant that types, schema, files and the browser's database go by. It is
 * raised whenever a stored document reads differently, with a migration and a fixture of the version before.
 */
export const SCHEMA_VERSION = 13
