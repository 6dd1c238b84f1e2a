<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Member } from '@/api/client'
import { enums } from '@/api/enums'
import { newName, wasOffered } from '@/app/newName'
import LengthInput from '@/ui/LengthInput.vue'
import type { Facing } from '@/drawing/facing'
import { useMemberRoles } from './memberKinds'
import Choice from '@/ui/Choice.vue'
import TextField from '@/ui/TextField.vue'
import PointList from './PointList.vue'

const member = defineModel<Member>({ required: true })
const props = defineProps<{ facing: Facing; taken: readonly string[] }>()
const { t } = useI18n()
const roleOf = useMemberRoles()
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

function setKind(kind: Member['kind']) {
  if (wasOffered(member.value.name, enums.MemberKind.map(kindText))) member.value.name = newName(kindText(kind), props.taken)
  member.value.kind = kind
  member.value.role = roleOf(kind)
}
</script>

<template>
  <div class="form">
    <TextField v-model="member.name" class="wide" :label="t('app.name')" :most="80" />
    <Choice
      :model-value="member.kind"
      :label="t('app.kind')"
      :options="enums.MemberKind.map((kind) => ({ value: kind, text: kindText(kind) }))"
      @update:model-value="setKind"
    />
    <Choice
      v-model="member.role"
      :label="t('walkaround.role')"
      :options="roles.map((role) => ({ value: role, text: t(`walkaround.roles.${role}`) }))"
    />
    <Choice
      v-model="member.footprint.shape"
      :label="t('walkaround.shape')"
      :options="[
        { value: 'spine', text: t('walkaround.shapes.spine') },
        { value: 'polygon', text: t('walkaround.shapes.polygon') },
      ]"
    />
    <LengthInput
      v-if="member.footprint.shape === 'spine'"
      :model-value="member.footprint.widthMm ?? 0"
      :label="t('walkaround.memberWidth')"
      @update:model-value="(mm) => (member.footprint.widthMm = mm ?? 0)"
    />
    <Choice
      :model-value="member.material ?? null"
      :label="t('walkaround.memberMaterial')"
      :options="[
        { value: null, text: t('walkaround.memberMaterials.unknown') },
        ...materials.map((m) => ({ value: m, text: t(`walkaround.memberMaterials.${m}`) })),
      ]"
      @update:model-value="(m) => (member.material = m)"
    />
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
