import type { Schemas } from '../../api/client'

/** The heat of a step of a way, in words. */
export const heatOf = (piece: Schemas['WayPieceAnswer']) =>
  piece.stages.length > 0
    ? piece.stages.map((stage) => `${stage.tempC} °C ${stage.minMin} to ${stage.maxMin} min`).join(', then ')
    : `at ${piece.celsius} °C`
