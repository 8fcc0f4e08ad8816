<script setup lang="ts">
const session = useSession()
const along = useAlong()
onMounted(async () => {
  try {
    await along.load()
  }
  catch (error) {
    // A browser that refuses a store: the log says so at its first entry, everything else works with a network.
    along.problem = `This browser keeps nothing on the device: ${error instanceof Error ? error.message : String(error)}`
  }
})
</script>

<template>
  <VitePwaManifest />
  <v-app :theme="session.ground">
    <AlongNotice />
    <FrameShortcuts />
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </v-app>
</template>
