/**
 * Constants of the composition-to-hardness model. Units in the names or beside the value.
 * 'Calibrated' means: started from the stated source and moved by least squares over handbook tempering tables
 * (440C, D2, A2, ISO 4957 values) and facts of the trade, with a prior at the starting value. See docs/method.md.
 */
export const STEEL_MODEL = {
  /** Carbon held by MC carbides, wt% C per wt% V above the limit and per wt% Nb. Stoichiometry of VC and NbC. */
  mc: { vanadiumInSolutionMax: 0.35, carbonPerVanadium: 0.19, carbonPerNiobium: 0.125, source: 'stoichiometry of VC, NbC' },
  /** Carbon and chromium of the two chromium carbides, wt%; blended by carbon over chromium. */
  carbide: {
    m23c6: { C: 5.6, Cr: 62 },
    m7c3: { C: 8.7, Cr: 46 },
    ratioCentre: 0.1,
    ratioWidth: 0.01,
    molybdenumEnrichment: 3,
    source: 'stoichiometry of M23C6 and M7C3 with iron, textbook metallurgy, from memory',
  },
  /**
   * Solubility product [C]·[Cr]^n·11^(1−n) = k·exp(q(1/1353.15 − 1/T)), wt%.
   * Calibrated: starts 6.3, 7800 K, n = 1 from chromium in solution of D2 type and 1.7C-18Cr-1Mo-3V.
   */
  solubility: { k: 6.3, qK: 5050, exponent: 0.95, referenceCr: 11, source: 'calibrated on chromium in solution and handbook hardness' },
  /** Approach to equilibrium 1 − exp(−(t/τ)^0.8). Calibrated: starts τ = 6 min at 1050 °C. */
  kinetics: { tauMin: 2.9, atC: 1050, qK: 35500, exponent: 0.8, source: 'Avrami form, calibrated' },
  /** Andrews (1965), JISI 203, 721: linear formula, °C per wt%; the offset is calibrated for more than 5 % Cr. */
  martensiteStart: { base: 539, CN: -423, Mn: -30.4, Ni: -17.7, Cr: -12.1, Mo: -7.5, offsetC: 6, source: 'Andrews (1965), linear; +6 °C calibrated' },
  /** Koistinen and Marburger (1959), Acta Met. 7, 59. Per kelvin below Ms. */
  retained: { perK: 0.011, source: 'Koistinen and Marburger (1959)' },
  /** Austenite that rests at room temperature resists cold: fraction stabilised, and its growth per decade of delay. */
  stabilisation: { fraction: 0.25, atDelayMin: 30, perDecade: 0.08, source: 'common practice, no published source' },
  /**
   * Vickers of martensite after Maynier et al. (1978): 127 + 949 C + 27 Si + 11 Mn + 8 Ni + 16 Cr + 21 log10(rate).
   * The rate term of a plate quench adds 76; carbon counts less above 0.56 %; chromium up to 6.4 %. Calibrated.
   */
  martensite: {
    base: 127, rate: 76, carbon: 949, carbonKnee: 0.56, carbonAbove: 305, Si: 27, Mn: 11, Ni: 8, Cr: 16, crMax: 6.4,
    source: 'after Maynier et al. (1978), carbon knee, chromium limit and rate term calibrated',
  },
  austeniteHv: 400,
  /** Hardening by undissolved carbide, relative per wt%. */
  carbideHardening: { chromium: 0.00175, mc: 0.006, carbonOfMc: 13, source: 'rule of mixtures, calibrated' },
  /** Hollomon and Jaffe (1945), Trans. AIME 162, 223, with constant 20; drop and hump calibrated. */
  temper: {
    constant: 20,
    drop: 5.2, from: 7.3, width: 3, power: 1.3,
    hump: { base: 0.9, perMo: 0.55, moMax: 3, perV: 1, at: 15.2, width: 1.1 },
    over: { from: 15.6, slope: 2.9, power: 1.35 },
    source: 'Hollomon and Jaffe (1945); shape calibrated on handbook tempering tables',
  },
  /** Retained austenite breaks down on cooling from a temper: half gone at this temperature. */
  temperDecomposition: { halfAtC: 500, widthC: 18, source: 'handbook statement "above about 450 °C", from memory' },
  corrosion: { perMo: 3.3, perN: 16, penaltyFromC: 400, penaltyFullC: 520, penaltyMax: 0.45, source: 'PREN of the matrix (ISO 15156-3 form); penalty: common practice, no published source' },
  /** One sigma of the model against checks it was calibrated on, HRC. */
  error: { compositionOnly: 0.8, charted: 0.6, source: 'scatter over the checks of docs/method.md' },
  /** What a small shop's oven and toaster oven hold, one sigma, °C. */
  shopTemperature: { austenitizeSdC: 6, temperSdC: 5, source: 'common practice, no published source' },
} as const
