<script setup lang="ts">
import { namesOwned, type Household } from '~~/core/household'

/** What a household owns, by name. */
const props = defineProps<{ household: Household }>()
const MOST = 8
const lists = () => namesOwned(props.household)
</script>

<template>
  <dl class="names">
    <div v-for="{ what, names } in lists()" :key="what">
      <dt>{{ names.length }} {{ what }}</dt>
      <dd>
        {{ names.slice(0, MOST).join(', ')
        }}<template v-if="names.length > MOST"> and {{ names.length - MOST }} more</template>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.names > div {
  margin: 8px 0;
}
dt {
  font-weight: 650;
}
dd {
  overflow-wrap: anywhere;
}
</style>
