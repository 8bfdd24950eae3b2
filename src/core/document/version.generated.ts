// Written by scripts/sheets.mjs out of the steps from version to version: do not change it here.

/**
 * The version of a job document: the one constant that types, schema, files and the browser's database go by. It is
 * raised whenever a stored document reads differently, by a step from the version before and a fixture of that.
 */
export const SCHEMA_VERSION = 18
