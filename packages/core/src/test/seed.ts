import fc from 'fast-check';

// The same walls every time, so that a red run is the change's doing. `FUZZ=1` tries new ones.
if (!process.env.FUZZ) fc.configureGlobal({ seed: 20_261_123 });
