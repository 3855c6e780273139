/** The stations in the order of work; one that is not built yet is not listed. */
export const STATIONS = ['deck', 'deal', 'rules', 'play', 'odds', 'ship'] as const
export type Station = (typeof STATIONS)[number]
export const STATION_NAMES: Record<Station, string> = {
  deck: 'Deck',
  deal: 'Deal',
  rules: 'Rules',
  play: 'Play',
  odds: 'Odds',
  ship: 'Ship',
}
