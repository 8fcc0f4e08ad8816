<template>
  <main class="boat">
    <slot />
  </main>
</template>

<style scoped>
.boat { height: 100dvh; min-height: 0; }
</style>
