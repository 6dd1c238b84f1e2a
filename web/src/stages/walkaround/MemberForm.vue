<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Member } from '@/api/client'
import { enums } from '@/api/enums'
import { newName, wasOffered } from '@/app/newName'
import LengthInput from '@/ui/LengthInput.vue'
import type { Facing } from '@/drawing/facing'
import { memberKinds } from './memberKinds'
import PointList from './PointList.vue'

const member = defineModel<Member>({ required: true })
const props = defineProps<{ facing: Facing; taken: readonly string[] }>()
const { t } = useI18n()
const kindText = (kind: Member['kind']) => t(`walkaround.memberKinds.${kind}`)
const roles = enums.MemberRole
const materials = enums.MemberMaterial

/** People measure the flat top of a swage; what is kept is the width of its flank. */
const topWidth = computed(() =>
  member.value.footprint.shape === 'spine'
    ? (member.value.footprint.widthMm ?? 0) - 2 * (member.value.flankMm ?? 0)
    : (member.value.flankMm ?? 0),
)
function setTopWidth(mm: number | null) {
  const spine = member.value.footprint.shape === 'spine'
  member.value.flankMm = Math.max(0, spine ? ((member.value.footprint.widthMm ?? 0) - (mm ?? 0)) / 2 : (mm ?? 0))
}

function setKind(event: Event) {
  const kind = (event.target as HTMLSelectElement).value as Member['kind']
  if (wasOffered(member.value.name, enums.MemberKind.map(kindText))) member.value.name = newName(kindText(kind), props.taken)
  member.value.kind = kind
  member.value.role = memberKinds[kind]
}
</script>

<template>
  <div class="form">
    <label class="named wide">{{ t('app.name') }}<input v-model="member.name" class="field" maxlength="80" /></label>
    <label class="named">
      {{ t('app.kind') }}
      <select :value="member.kind" class="field" @change="setKind">
        <option v-for="(_, kind) in memberKinds" :key="kind" :value="kind">{{ t(`walkaround.memberKinds.${kind}`) }}</option>
      </select>
    </label>
    <label class="named">
      {{ t('walkaround.role') }}
      <select v-model="member.role" class="field">
        <option v-for="role in roles" :key="role" :value="role">{{ t(`walkaround.roles.${role}`) }}</option>
      </select>
    </label>
    <label class="named">
      {{ t('walkaround.shape') }}
      <select v-model="member.footprint.shape" class="field">
        <option value="spine">{{ t('walkaround.shapes.spine') }}</option>
        <option value="polygon">{{ t('walkaround.shapes.polygon') }}</option>
      </select>
    </label>
    <LengthInput
      v-if="member.footprint.shape === 'spine'"
      :model-value="member.footprint.widthMm ?? 0"
      :label="t('walkaround.memberWidth')"
      @update:model-value="(mm) => (member.footprint.widthMm = mm ?? 0)"
    />
    <label class="named">
      {{ t('walkaround.memberMaterial') }}
      <select v-model="member.material" class="field">
        <option :value="null">{{ t('walkaround.memberMaterials.unknown') }}</option>
        <option v-for="m in materials" :key="m" :value="m">{{ t(`walkaround.memberMaterials.${m}`) }}</option>
      </select>
    </label>
    <LengthInput v-model="member.depthMm" :label="t('walkaround.depth')" />
    <LengthInput
      v-if="member.role === 'pressed'"
      :model-value="topWidth"
      :label="t(member.footprint.shape === 'spine' ? 'walkaround.topWidth' : 'walkaround.flank')"
      @update:model-value="setTopWidth"
    />
    <div class="wide">
      <h2>{{ t(member.footprint.shape === 'spine' ? 'walkaround.spine' : 'walkaround.polygon') }}</h2>
      <PointList
        v-model="member.footprint.points"
        :least="member.footprint.shape === 'spine' ? 2 : 3"
        :add-label="t('walkaround.addPoint')"
        :facing="facing"
      />
    </div>
  </div>
</template>
