<template>
  <marker
    id="arrow"
    viewBox="0 0 8 8"
    refX="7"
    refY="4"
    markerUnits="userSpaceOnUse"
    markerWidth="8"
    markerHeight="8"
    orient="auto-start-reverse"
  >
    <path d="M0 1L7 4L0 7" fill="none" stroke="context-stroke" stroke-width="1.3" />
  </marker>
</template>
