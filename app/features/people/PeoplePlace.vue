<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns';
import { computed, onMounted, ref } from 'vue';
import type { Person } from '#core/model/account';
import { ROLE_IDS, ROLES, type Role } from '#core/model/role';
import { useRoster } from '~/features/roster/store';
import { useSession } from '~/features/session/store';
import TeamHead from '~/features/team/TeamHead.vue';
import MadeLink from './MadeLink.vue';
import { usePeople } from './store';

/** Staff and players with an account, and those who have been asked to join. */
const people = usePeople();
const roster = useRoster();
const session = useSession();
const [role, name, email] = [ref<Role>('assistant'), ref(''), ref('')];
const playerId = ref<number | null>(null);
onMounted(() => Promise.all([people.load(), roster.load()]));

const manOf = (id: number | null): string => {
  const man = roster.players.find((p) => p.id === id);
  return man ? `${man.number} ${man.name}` : '';
};
/** Men of the roster who have no account yet and have not been asked. */
const without = computed(() => {
  const taken = [...people.found.people, ...people.found.waiting].map((p) => p.playerId);
  return roster.players.filter((p) => !p.left && !taken.includes(p.id));
});
/** Whom somebody can be: himself as he is, or one who has no account yet. */
const menFor = (p: Person) => roster.players.filter((m) => m.id === p.playerId || without.value.includes(m));
async function invite(): Promise<void> {
  const player = role.value === 'player' ? playerId.value : null;
  const invitation = { role: role.value, name: name.value.trim(), email: email.value.trim(), playerId: player };
  // The fields are the next one's at once, and this one's again when he could not be invited.
  [name.value, email.value, playerId.value] = ['', '', null];
  if (await people.invite(invitation)) return;
  [name.value, email.value, playerId.value] = [invitation.name, invitation.email, player];
}
const seen = ({ seenAt }: Person): string =>
  seenAt ? formatDistanceToNow(new Date(seenAt), { addSuffix: true }) : 'not yet';
const mine = ({ id }: Person): boolean => id === session.member?.userId;
</script>

<template>
  <div class="place">
    <TeamHead
      title="Who belongs to the program"
      says="Grades are records about people: the line coach and assistants see them, a player his own once they are published, other coaches none."
    />
    <p v-if="people.problem" class="page-problem" role="alert">{{ people.problem }}</p>
    <p v-if="people.notice" class="page-notice" role="status">{{ people.notice }}</p>
    <div class="page-parts">
      <section aria-label="People">
        <div class="page-scroller">
          <table class="page-table" aria-label="People">
            <thead>
              <tr>
                <th scope="col">Name</th>
                <th scope="col">May</th>
                <th scope="col">Is on the roster</th>
                <th scope="col">Last here</th>
                <th scope="col"><span class="visually-hidden">What can be done</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="p in people.found.people" :key="p.id">
                <th scope="row">
                  {{ p.name }} <span class="soft">{{ p.email }}</span>
                </th>
                <td>
                  <select
                    :value="p.role"
                    :aria-label="`What ${p.name} may do`"
                    @change="people.change(p, ($event.target as HTMLSelectElement).value as Role, p.playerId)"
                  >
                    <option v-for="r in ROLE_IDS" :key="r" :value="r">{{ ROLES[r].name }}</option>
                  </select>
                </td>
                <td>
                  <select
                    v-if="p.role === 'player'"
                    :value="p.playerId ?? ''"
                    :aria-label="`Which man ${p.name} is`"
                    @change="people.change(p, 'player', Number(($event.target as HTMLSelectElement).value) || null)"
                  >
                    <option value="">nobody yet</option>
                    <option v-for="m in menFor(p)" :key="m.id" :value="m.id">{{ m.number }} {{ m.name }}</option>
                  </select>
                  <template v-else>–</template>
                </td>
                <td>{{ mine(p) ? 'you' : seen(p) }}</td>
                <td class="acts">
                  <template v-if="!mine(p)">
                    <button class="plain link" type="button" @click="people.reset(p)">new password</button>
                    <button class="plain link" type="button" @click="people.remove(p)">take out</button>
                  </template>
                </td>
              </tr>
              <tr v-for="w in people.found.waiting" :key="`asked ${w.id}`" class="soft">
                <th scope="row">
                  {{ w.name || w.email || 'somebody' }} <span>{{ w.name ? w.email : '' }}</span>
                </th>
                <td>{{ ROLES[w.role].name }}</td>
                <td>{{ manOf(w.playerId) || '–' }}</td>
                <td>invited</td>
                <td class="acts">
                  <button class="plain link" type="button" @click="people.withdraw(w.id)">take back</button>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <MadeLink v-if="people.link" :link="people.link" />
      </section>
      <form aria-label="Invite" @submit.prevent="invite">
        <h2>Invite somebody</h2>
        <label
          >As
          <select v-model="role">
            <option v-for="r in ROLE_IDS" :key="r" :value="r">{{ ROLES[r].name }}</option>
          </select></label
        >
        <p class="soft">{{ ROLES[role].says }}</p>
        <label v-if="role === 'player'"
          >Who he is
          <select v-model="playerId" required>
            <option v-for="p in without" :key="p.id" :value="p.id">{{ p.number }} {{ p.name }}</option>
          </select></label
        >
        <label v-else>Name <input v-model="name" class="field" maxlength="80" /></label>
        <label>Address <input v-model="email" class="field" type="email" placeholder="may be left out" /></label>
        <p class="soft">With an address he gets a letter; without one you hand the link over yourself.</p>
        <button class="strong" type="submit" :disabled="role === 'player' && playerId === null">Make the link</button>
      </form>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: minmax(0, 1fr) 260px;
}
section {
  display: grid;
  gap: 14px;
}
form,
label {
  display: grid;
  gap: 6px;
  justify-items: start;
}
label {
  font-size: 13px;
  font-weight: 600;
  gap: 2px;
}
.page-table {
  width: 100%;
}
td,
th {
  border-bottom: 1px solid var(--rule);
  vertical-align: baseline;
}
tbody th .soft {
  font-weight: 400;
  font-size: 13px;
  display: block;
}
.acts {
  white-space: nowrap;
}
.acts button + button {
  margin-left: 14px;
}
</style>
