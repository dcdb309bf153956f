<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import NumberField from '../../parts/NumberField.svelte'

  interface Props {
    room: Schemas['RoomDraft']
    failure: Failure | undefined
  }
  let { room = $bindable(), failure }: Props = $props()
</script>

<fieldset class="fields">
  <legend><h2>Room</h2></legend>
  <p class="small w-full">
    What is counted here no plan takes more of. Leave empty what is never short: it limits nothing, and the plan still
    shows how much is in use.
  </p>
  <NumberField label="Places at the bench" field="room.benchPlaces" {failure} bind:value={room.benchPlaces} size={5} />
  <NumberField label="Burners" field="room.burners" {failure} bind:value={room.burners} size={5} />
  <NumberField label="Largest pot, litres" field="room.potLitres" {failure} bind:value={room.potLitres} size={5} />
  <NumberField label="Racks, trays" field="room.rackTrays" {failure} bind:value={room.rackTrays} size={6} />
  <NumberField label="Fridge, trays" field="room.fridgeTrays" {failure} bind:value={room.fridgeTrays} size={6} />
  <NumberField
    label="Fridge, kg of dough and tubs"
    field="room.fridgeKg"
    {failure}
    bind:value={room.fridgeKg}
    size={6}
  />
  <NumberField label="Freezer, trays" field="room.freezerTrays" {failure} bind:value={room.freezerTrays} size={6} />
  <NumberField
    label="Freezer, kg of dough and tubs"
    field="room.freezerKg"
    {failure}
    bind:value={room.freezerKg}
    size={6}
  />
</fieldset>
