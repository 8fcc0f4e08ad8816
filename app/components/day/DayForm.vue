<script setup lang="ts">
/** The frame of a form that puts something of a past day right: its acts, and what went wrong. */
defineOptions({ inheritAttrs: false })
defineProps<{ title: string, keep: string, removable: boolean, problem: string | null }>()
defineEmits<{ save: [], remove: [], close: [] }>()
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="520"
    :aria-label="title"
    @update:model-value="$emit('close')"
  >
    <form
      v-bind="$attrs"
      class="sheet form"
      @submit.prevent="$emit('save')"
    >
      <h2>{{ title }}</h2>
      <slot />
      <p
        v-if="problem"
        role="alert"
        class="tone-now"
      >
        {{ problem }}
      </p>
      <div class="acts">
        <v-btn
          class="main"
          type="submit"
        >
          {{ keep }}
        </v-btn>
        <v-btn
          v-if="removable"
          class="plain"
          @click="$emit('remove')"
        >
          Take it out
        </v-btn>
        <v-btn
          class="quiet-btn"
          @click="$emit('close')"
        >
          Leave it
        </v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.form { padding: 18px 20px; display: flex; flex-direction: column; gap: 14px; max-height: 92dvh; overflow-y: auto; }
.acts { display: flex; flex-wrap: wrap; gap: 10px; }
</style>
