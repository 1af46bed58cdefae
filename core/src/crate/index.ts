export { heading, type Table, tablesOf } from './tables'
export {
  type CrateFile,
  crateMetadata,
  crateTrouble,
  METADATA_PATH,
  NOTEBOOK_PATH,
  PICTURE_PATH,
  SCHEMA_PATH,
} from './metadata'
