import { type Solvent } from "../substances/shelf";

/** General reference values for common solvents; compiled as described beside the compounds. */
export const REFERENCE_SOLVENTS: readonly Omit<Solvent, 'source'>[] = [
  { id: 'water', name: 'water', boilingPointC: 100.0, freezingPointC: 0.0, densityGPerML20: 0.998, flashPointC: null, group: 'water', waterMiscible: 'full', hazards: [] },
  { id: 'methanol', name: 'methanol', boilingPointC: 64.7, freezingPointC: -97.6, densityGPerML20: 0.792, flashPointC: 11.0, autoignitionC: 455, group: 'alcohol', waterMiscible: 'full', hazards: ['H225', 'H301', 'H311', 'H331', 'H370'] },
  { id: 'ethanol-absolute', name: 'ethanol (absolute)', boilingPointC: 78.3, freezingPointC: -114.1, densityGPerML20: 0.789, flashPointC: 13.0, autoignitionC: 363, group: 'alcohol', waterMiscible: 'full', hazards: ['H225', 'H319'] },
  { id: 'ethanol-95', name: 'ethanol 95%', boilingPointC: 78.2, freezingPointC: -114.0, densityGPerML20: 0.81, flashPointC: 16.0, autoignitionC: 363, group: 'alcohol', waterMiscible: 'full', hazards: ['H225', 'H319'] },
  { id: '2-propanol', name: '2-propanol', boilingPointC: 82.3, freezingPointC: -88.8, densityGPerML20: 0.785, flashPointC: 12.0, autoignitionC: 399, group: 'alcohol', waterMiscible: 'full', hazards: ['H225', 'H319', 'H336'] },
  { id: 'acetone', name: 'acetone', boilingPointC: 56.1, freezingPointC: -94.7, densityGPerML20: 0.791, flashPointC: -19.0, autoignitionC: 465, group: 'ketone', waterMiscible: 'full', hazards: ['H225', 'H319', 'H336'] },
  { id: 'ethyl-acetate', name: 'ethyl acetate', boilingPointC: 77.1, freezingPointC: -83.6, densityGPerML20: 0.9, flashPointC: -4.0, autoignitionC: 426, group: 'ester', waterMiscible: 'partial', hazards: ['H225', 'H319', 'H336'] },
  { id: 'diethyl-ether', name: 'diethyl ether', boilingPointC: 34.6, freezingPointC: -116.3, densityGPerML20: 0.714, flashPointC: -45.0, autoignitionC: 160, group: 'ether', waterMiscible: 'partial', hazards: ['H224', 'H302', 'H336', 'EUH019'] },
  { id: 'dichloromethane', name: 'dichloromethane', boilingPointC: 39.8, freezingPointC: -95.9, densityGPerML20: 1.326, flashPointC: null, group: 'chlorinated', waterMiscible: 'no', hazards: ['H315', 'H319', 'H336', 'H351'] },
  { id: 'toluene', name: 'toluene', boilingPointC: 110.6, freezingPointC: -95.0, densityGPerML20: 0.867, flashPointC: 4.0, autoignitionC: 480, group: 'aromatic', waterMiscible: 'no', hazards: ['H225', 'H304', 'H315', 'H336', 'H361d', 'H373'] },
  { id: 'hexane', name: 'hexane', boilingPointC: 68.7, freezingPointC: -95.3, densityGPerML20: 0.659, flashPointC: -22.0, autoignitionC: 225, group: 'alkane', waterMiscible: 'no', hazards: ['H225', 'H304', 'H315', 'H336', 'H361f', 'H373', 'H411'] },
  { id: 'heptane', name: 'heptane', boilingPointC: 98.4, freezingPointC: -90.6, densityGPerML20: 0.684, flashPointC: -4.0, autoignitionC: 204, group: 'alkane', waterMiscible: 'no', hazards: ['H225', 'H304', 'H315', 'H336', 'H410'] },
  { id: 'cyclohexane', name: 'cyclohexane', boilingPointC: 80.7, freezingPointC: 6.5, densityGPerML20: 0.779, flashPointC: -20.0, autoignitionC: 245, group: 'alkane', waterMiscible: 'no', hazards: ['H225', 'H304', 'H315', 'H336', 'H410'] },
  { id: 'petroleum-ether-60-80', name: 'petroleum ether 60-80', boilingPointC: null, boilingFromC: 60, boilingToC: 80, freezingPointC: null, densityGPerML20: 0.67, flashPointC: -22.0, autoignitionC: 246, group: 'alkane', waterMiscible: 'no', hazards: ['H225', 'H304', 'H315', 'H336', 'H373', 'H411'] },
  { id: 'acetonitrile', name: 'acetonitrile', boilingPointC: 81.6, freezingPointC: -44.0, densityGPerML20: 0.7825, flashPointC: 2.0, autoignitionC: 524, group: 'nitrile', waterMiscible: 'full', hazards: ['H225', 'H302', 'H312', 'H319', 'H332'] },
  { id: 'acetic-acid', name: 'acetic acid', boilingPointC: 117.9, freezingPointC: 16.6, densityGPerML20: 1.049, flashPointC: 39.0, autoignitionC: 463, group: 'acid', waterMiscible: 'full', hazards: ['H226', 'H314'] },
  { id: '1-propanol', name: '1-propanol', boilingPointC: 97.2, freezingPointC: -126.0, densityGPerML20: 0.803, flashPointC: 22.0, autoignitionC: 371, group: 'alcohol', waterMiscible: 'full', hazards: ['H225', 'H318', 'H336'] },
  { id: 'tetrahydrofuran', name: 'tetrahydrofuran', boilingPointC: 66.0, freezingPointC: -108.4, densityGPerML20: 0.8885, flashPointC: -15.5, autoignitionC: 321, group: 'ether', waterMiscible: 'full', hazards: ['H225', 'H302', 'H319', 'H335', 'H351', 'EUH019'] },
  { id: '2-methyltetrahydrofuran', name: '2-methyltetrahydrofuran', boilingPointC: 80.1, freezingPointC: -136.0, densityGPerML20: 0.8545, flashPointC: -11.0, autoignitionC: 270, group: 'ether', waterMiscible: 'partial', hazards: ['H225', 'H302', 'H315', 'H318', 'EUH019'] },
  { id: 'tert-butyl-methyl-ether', name: 'tert-butyl methyl ether', boilingPointC: 55.2, freezingPointC: -108.6, densityGPerML20: 0.74, flashPointC: -28.0, autoignitionC: 374, group: 'ether', waterMiscible: 'partial', hazards: ['H225', 'H315'] },
]
