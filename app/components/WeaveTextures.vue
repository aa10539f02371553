<template>
  <defs>
    <pattern id="weft-plain" width="6" height="6" patternUnits="userSpaceOnUse" />
    <pattern
      id="weft-slant"
      width="7"
      height="7"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <rect width="2.4" height="7" fill="#fff" fill-opacity="0.55" />
    </pattern>
    <pattern id="weft-dots" width="7" height="7" patternUnits="userSpaceOnUse">
      <circle cx="3.5" cy="3.5" r="1.5" fill="#fff" fill-opacity="0.7" />
    </pattern>
    <pattern id="weft-bars" width="6" height="6" patternUnits="userSpaceOnUse">
      <rect width="6" height="2" fill="#fff" fill-opacity="0.55" />
    </pattern>
  </defs>
</template>
