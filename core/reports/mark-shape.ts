/** A mark as it is drawn on paper, by shape first: kept, missed, not to be told, not asked. */
export type MarkShape = 'kept' | 'missed' | 'untold' | 'none';
