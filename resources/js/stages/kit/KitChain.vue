<template>
    <!-- Bank, supply, controller, cable and strip hang on one line of copper; the hub reaches them by radio. -->
    <div class="chain"><slot /></div>
</template>

<style scoped>
.chain {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: minmax(0, 1fr);
    gap: 16px;
}
@media (max-width: 900px) {
    .chain {
        grid-auto-flow: row;
        grid-template-columns: repeat(2, minmax(0, 1fr));
    }
}
</style>
