<script setup lang="ts">
const session = useSession()
</script>

<template>
  <v-app :theme="session.ground">
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </v-app>
</template>
