<template><p>book</p></template>
