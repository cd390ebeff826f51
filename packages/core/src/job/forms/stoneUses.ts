/** What a measured stone is for. Left out: whatever it suits. Apart from its form, which no first screen needs to name it. */
export const STONE_USES = ['face', 'through', 'quoin', 'coping', 'tread', 'ashlar', 'hearting'] as const;
