<template>
  <main class="onwater">
    <slot />
  </main>
</template>

<style scoped>
.onwater { height: 100dvh; min-height: 0; }
</style>
