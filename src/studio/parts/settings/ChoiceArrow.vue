<template>
  <svg viewBox="0 0 10 6" width="9" height="6" aria-hidden="true">
    <path d="M1 1h8L5 5z" fill="currentColor" />
  </svg>
</template>
