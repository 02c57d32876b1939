<script setup lang="ts">
/** The content of a chart for those who hear it. */
defineProps<{
  caption: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
}>();
</script>

<template>
  <div class="visually-hidden">
    <table>
      <caption>
        {{
          caption
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="cell in head" :key="cell" scope="col">{{ cell }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row[0]">
          <td v-for="(cell, i) in row" :key="i">{{ cell }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
