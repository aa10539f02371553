<script setup lang="ts">
import { mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { database } from '~/database/database'
import { useLive } from '~/composables/useLive'
import { useColours } from '~/composables/useColours'
import { useSaving } from '~/stores/saving'

const saving = useSaving()
const { dark, turn } = useColours()

/** Whether anything is being cooked: then it rings here, whichever page is open. */
const cooks = useLive(async () => (await database.cooking.count()) > 0)

const rooms = [
  { to: '/choose', name: 'Choose' },
  { to: '/buy', name: 'Buy' },
  { to: '/set-out', name: 'Set out' },
  { to: '/plan', name: 'Plan' },
  { to: '/cook', name: 'Cook' },
  { to: '/pack', name: 'Pack' },
  { to: '/keep', name: 'Keep' },
  { to: '/eat', name: 'Eat' },
]
/** What one owns, apart from the work. */
const owned = [
  { to: '/recipes', name: 'Recipes' },
  { to: '/kitchen', name: 'Kitchen' },
  { to: '/logbook', name: 'Logbook' },
]
</script>

<template>
  <v-app>
    <a href="#main" class="skip">Skip to the content</a>
    <header class="bar no-print">
      <NuxtLink to="/plan" class="brand display" aria-label="Cadrum, to the plan">
        <img src="/icon.svg" alt="" width="26" height="26" />Cadrum
      </NuxtLink>
      <nav aria-label="The work, in order">
        <NuxtLink v-for="room in rooms" :key="room.to" :to="room.to" class="room">{{
          room.name
        }}</NuxtLink>
      </nav>
      <span class="space" />
      <nav aria-label="What is yours">
        <NuxtLink v-for="room in owned" :key="room.to" :to="room.to" class="room">{{
          room.name
        }}</NuxtLink>
      </nav>
      <HouseholdMenu />
      <v-btn
        :icon="dark ? mdiWhiteBalanceSunny : mdiWeatherNight"
        variant="text"
        size="small"
        :aria-label="dark ? 'Light colours' : 'Dark colours'"
        @click="turn"
      />
    </header>
    <SavingBar />
    <RunningBell v-if="cooks" />
    <ReminderBar />
    <main id="main" class="page" tabindex="-1">
      <slot v-if="saving.opened" />
      <p v-else class="quiet" role="status">Opening the household …</p>
    </main>
    <NoticeBar />
  </v-app>
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
  top: 4px;
  z-index: 20;
  padding: 8px 12px;
  background: rgb(var(--v-theme-surface));
}
.skip:focus {
  left: 8px;
}
.bar {
  display: flex;
  align-items: center;
  gap: 4px 18px;
  padding: 2px 20px;
  border-bottom: 1px solid var(--hair);
  background: rgb(var(--v-theme-surface));
}
.brand {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 1.35rem;
  color: inherit;
  text-decoration: none;
}
.room {
  display: inline-block;
  padding: 8px 12px;
  border-bottom: 3px solid transparent;
  color: inherit;
  text-decoration: none;
}
.room.router-link-active {
  border-bottom-color: rgb(var(--v-theme-primary));
  font-weight: 650;
}
.space {
  flex: 1;
}
.page {
  flex: 1;
  width: 100%;
  max-width: 1500px;
  margin: 0 auto;
  /* What stands at the foot can be pushed clear of a notice. */
  padding: 10px 20px 160px;
}
.page:focus {
  outline: none;
}
nav {
  white-space: nowrap;
}
@media (max-width: 500px) {
  .bar {
    flex-wrap: wrap;
    padding: 6px 10px;
    gap: 0 6px;
  }
  .space {
    order: -1;
    flex-basis: 36%;
  }
  .brand {
    order: -2;
  }
  nav {
    order: 1;
  }
  .room {
    padding: 8px 3px;
  }
  .brand {
    font-size: 1.1rem;
  }
  .page {
    padding: 12px 10px 160px;
  }
}
</style>
