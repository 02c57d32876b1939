<script setup lang="ts">
/** What, how much of it, and how much that is otherwise. */
defineProps<{ rows: readonly { what: string; amount: string; also?: string }[] }>();
</script>

<template>
  <table>
    <tbody>
      <tr v-for="row in rows" :key="row.what">
        <th scope="row">{{ row.what }}</th>
        <td class="amount">{{ row.amount }}</td>
        <td v-if="row.also !== undefined">{{ row.also }}</td>
      </tr>
    </tbody>
  </table>
</template>
