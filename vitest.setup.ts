import fc from 'fast-check'

// One seed, so that a property that holds today holds on every machine; FC_SEED tries another.
fc.configureGlobal({ seed: Number(process.env.FC_SEED ?? 20260424) })
