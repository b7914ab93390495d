import { usePlaybook } from '~/features/playbook/store';

/** What a scheme is called; its id when the playbook has it no more. */
export const schemeName = (id: string): string => usePlaybook().book.name('schemes', id);
