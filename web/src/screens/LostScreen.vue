<template>
  <div class="screen">
    <h1>Nothing here</h1>
    <p>This address belongs to no screen. <RouterLink to="/">Go to Due</RouterLink></p>
  </div>
</template>
