import fc from 'fast-check';

/** The same random cases every run, so that a red run can be looked at; FC_SEED=... tries others. */
fc.configureGlobal({ seed: Number(process.env.FC_SEED ?? 20261125) });
