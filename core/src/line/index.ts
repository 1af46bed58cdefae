export { commandOfLine, lineOfCommand, lineOfReading, readingOfLine, temperatureInLine } from './protocol'
