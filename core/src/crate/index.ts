export { heading, type Table, tablesOf } from './tables'
export {
  type CrateFile,
  crateMetadata,
  crateTrouble,
  hashInMetadata,
  METADATA_PATH,
  NOTEBOOK_PATH,
  PICTURE_PATH,
  SCHEMA_PATH,
} from './metadata'
