<template><p>film</p></template>
