<script setup lang="ts">
import { computed } from 'vue'
import SettingChoice from '../../parts/settings/SettingChoice.vue'
import SettingNumber from '../../parts/settings/SettingNumber.vue'
import { useBench } from '../../store/bench.ts'
import RuleClause from './RuleClause.vue'

/** "A miss shakes 1 time for 0.3 s, at 100 % of the usual strength. A win is celebrated by a wave of the cards." */
const bench = useBench()
const look = computed(() => bench.settings!.look)
</script>

<template>
  <RuleClause name="missMotion"
    >A miss <SettingChoice section="look" name="missMotion" /><template v-if="look.missMotion !== 'none'">
      <SettingNumber section="look" name="missMoves" /> {{ look.missMoves === 1 ? 'time' : 'times' }} for
      <SettingNumber section="look" name="missTime" />, at
      <SettingNumber section="look" name="missStrength" /> of the usual strength</template
    >.</RuleClause
  >
  <RuleClause name="celebration"
    >A win is celebrated by <SettingChoice section="look" name="celebration" /><template
      v-if="look.celebration === 'picture' && !look.behind"
      >, where there is one</template
    >.</RuleClause
  >
  <RuleClause name="marks"
    >The backs bear <SettingChoice section="look" name="marks" /><template v-if="look.marks !== 'none'"
      >, which a player may type</template
    >.</RuleClause
  >
</template>
