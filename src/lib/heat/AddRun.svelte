<script lang="ts">
  import { addRun } from '$core/edits/diagnosisEdits.ts';
  import { typedPairs, LogError, type ColumnKind } from '$core/heat/index.ts';
  import { loadSchools, type Course, type HeatRun, type Job } from '$core/model/types/types.ts';
  import Practise from '$lib/instruments/Practise.svelte';
  import { shopStore } from '$lib/shop/shopStore.svelte.ts';
  import { toast } from '$lib/shop/toasts.svelte.ts';
  import Button from '$lib/ui/Button.svelte';
  import { Logs } from './logs.svelte.ts';
  import { celsius, labelled, say } from '$lib/shop/units.svelte.ts';
  import Select from '$lib/ui/Select.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Tick from '$lib/ui/Tick.svelte';
  import Fault from '$lib/ui/Fault.svelte';
  import FilePick from '$lib/ui/FilePick.svelte';
  import TextArea from '$lib/ui/TextArea.svelte';

  interface Props {
    job: Job;
    /** Names of changes that runs may differ by. */
    changes: readonly string[];
  }
  const { job, changes }: Props = $props();
  const logs = new Logs();
  $effect(() => () => logs.close());

  const wanted: readonly { what: Course['what']; label: string; kind: ColumnKind; best: RegExp }[] =
    [
      {
        what: 'temperature',
        label: 'temperature',
        kind: 'temperature',
        best: /package|tctl|tdie|cpu/i,
      },
      { what: 'room', label: 'room', kind: 'temperature', best: /room|ambient|raum/i },
      { what: 'clock', label: 'clock', kind: 'clock', best: /core 0|cpu|effective/i },
      { what: 'fan', label: 'fan', kind: 'fan', best: /cpu|fan ?1/i },
      { what: 'watts', label: 'watts', kind: 'watts', best: /package|cpu/i },
    ];
  let picked = $state<Partial<Record<Course['what'], number>>>({});
  let typed = $state('');
  let name = $state('');
  let load = $state<HeatRun['load']>('full load');
  let room = $state('');
  let panel = $state<HeatRun['panel']>('on');
  let fans = $state('');
  let changed = $state<string[]>([]);
  let more = $state('');
  let from = $state('');
  let to = $state('');
  let fault = $state('');
  let over = $state(false);

  async function take(file: File | undefined): Promise<void> {
    if (!file) return;
    fault = '';
    await logs.read(file);
    name ||= file.name.replace(/\.[^.]+$/, '').slice(0, 80);
    const columns = logs.shown?.columns ?? [];
    picked = Object.fromEntries(
      wanted.flatMap(({ what, kind, best }) => {
        const able = columns.filter((each) => each.kind === kind);
        const first =
          able.find((each) => best.test(each.name)) ?? (what === 'room' ? undefined : able[0]);
        return first ? [[what, first.at]] : [];
      }),
    );
  }

  /** A made-up run, as a logger would write it. */
  async function practice(): Promise<void> {
    try {
      const answer = await fetch(`/api/v1/heat/logger?seed=${job.runs.length + 1}`);
      await take(new File([await answer.text()], `practice ${job.runs.length + 1}.csv`));
    } catch {
      fault = 'The practice logger is not there.';
    }
  }

  const minutes = (text: string, usual: number) => {
    const value = Number(text.replace(',', '.'));
    return text.trim() === '' || !Number.isFinite(value) ? usual : value * 60;
  };

  async function courses(): Promise<Course[] | undefined> {
    if (logs.shown) {
      const [first, last] = [minutes(from, 0), minutes(to, Infinity)];
      if (!(last > first)) {
        fault = 'The run must end after it begins. Kept as typed.';
        return undefined;
      }
      if (picked.temperature === undefined) {
        fault = 'Which column is the temperature? Name it above.';
        return undefined;
      }
      const all: Course[] = [];
      for (const { what } of wanted) {
        const at = picked[what];
        const found = at === undefined ? undefined : await logs.course(at, what, first, last);
        if (found && found.course.s.length > 0) all.push(found.course);
        if (found && found.senseless > 0)
          toast(
            `${found.senseless} figures of ${found.course.name} left out: no machine is that warm.`,
          );
      }
      if (!all.some((each) => each.what === 'temperature')) {
        fault = 'No temperature between these minutes.';
        return undefined;
      }
      return all;
    }
    try {
      const pairs = typedPairs(typed, shopStore.shop.settings.degrees);
      const values = [...(pairs.columns[0]?.values ?? [])];
      const odd = values.findIndex((each) => each < -30 || each > 130);
      if (odd >= 0) {
        fault = say(`Pair ${odd + 1}: ${values[odd]} °C cannot be meant. Kept as typed.`);
        return undefined;
      }
      return [{ what: 'temperature', name: 'typed', s: [...pairs.seconds], v: values }];
    } catch (error) {
      if (!(error instanceof LogError)) throw error;
      fault = error.message;
      return undefined;
    }
  }

  async function keep(): Promise<void> {
    fault = '';
    const roomC = room.trim() === '' ? undefined : celsius(Number(room.replace(',', '.')));
    if (roomC !== undefined && !(roomC >= -30 && roomC <= 60)) {
      fault = say('The room: -30 to 60 °C. Kept as typed.');
      return;
    }
    const all = await courses();
    if (!all) return;
    const extra = more
      .split(',')
      .map((each) => each.trim())
      .filter((each) => each !== '');
    const run: Omit<HeatRun, 'id'> = {
      name: name.trim() || `run ${job.runs.length + 1}`,
      at: new Date().toISOString(),
      load,
      ...(roomC === undefined ? {} : { roomC }),
      panel,
      ...(fans.trim() ? { fans: fans.trim() } : {}),
      changed: [...new Set([...changed, ...extra])],
      courses: all,
    };
    void shopStore.edit(`run ${run.name}`, addRun(job.id, run).edit);
    logs.close();
    typed = name = more = from = to = '';
  }
</script>

<section
  class="no-print"
  class:over
  role="group"
  aria-label="A run more"
  ondragover={(event) => (event.preventDefault(), (over = true))}
  ondragleave={() => (over = false)}
  ondrop={(event) => {
    event.preventDefault();
    over = false;
    void take(event.dataTransfer?.files[0]);
  }}
>
  <p class="row apart">
    <FilePick
      label="A logger's file: drop it here, or"
      accept=".csv,.txt,.tsv,.json,.log"
      onfiles={([file]) => void take(file)}
    />
    <Practise what="with a made-up log"
      ><Button quiet onclick={() => void practice()}>Practice logger</Button></Practise
    >
    {#if logs.share !== undefined}
      <progress max="1" value={logs.share} aria-label="reading"></progress>
      <Button quiet onclick={() => logs.close()}>Leave it</Button>
    {/if}
  </p>
  <Fault text={logs.fault} />
  {#if logs.shown}
    <p>
      <span class="figure">{logs.shown.rows.toLocaleString('en')}</span> rows,
      <span class="figure">{(logs.shown.lengthS / 60).toFixed(1)} min</span>.
      {#each logs.shown.faults as each (each.line)}<span class="soft"
          >Line {each.line}: {each.message}, left out.
        </span>{/each}
    </p>
    <p class="row apart">
      {#each wanted as { what, label } (what)}
        <Select
          {label}
          options={logs.shown.columns.map((column) => ({
            value: column.at,
            words: `${column.name} ${column.unit} (${column.least.toFixed(0)} to ${column.most.toFixed(0)})`,
          }))}
          none="none"
          value={picked[what] ?? ''}
          onchange={(event) => {
            const at = event.currentTarget.value;
            picked = { ...picked, [what]: at === '' ? undefined : Number(at) };
          }}
        />
      {/each}
      <TextField label="from, min" short bind:value={from} inputmode="decimal" placeholder="0" />
      <TextField
        label="to, min"
        short
        bind:value={to}
        inputmode="decimal"
        placeholder={(logs.shown.lengthS / 60).toFixed(0)}
      />
    </p>
  {:else}
    <TextArea
      label="or typed: minutes and degrees"
      bind:value={typed}
      rows={3}
      placeholder="0 31&#10;2 55&#10;5 63.5"
    />
  {/if}
  <p class="row apart">
    <TextField label="name" bind:value={name} maxlength={80} placeholder="as found" />
    <Select label="load" options={loadSchools} bind:value={load} />
    <TextField label={labelled('room, °C')} short bind:value={room} inputmode="decimal" />
    <Select
      label="panel"
      options={[
        { value: 'on', words: 'on' },
        { value: 'off', words: 'off' },
      ]}
      bind:value={panel}
    />
    <TextField label="fans" bind:value={fans} maxlength={60} placeholder="by the board" />
  </p>
  <p class="row apart checks">
    <span>Different from as found:</span>
    {#each changes as each (each)}
      <Tick
        label={each}
        checked={changed.includes(each)}
        onchange={(event) =>
          (changed = event.currentTarget.checked
            ? [...changed, each]
            : changed.filter((one) => one !== each))}
      />
    {/each}
    <TextField
      unseen
      label="other changes"
      bind:value={more}
      maxlength={200}
      placeholder="paste, feet"
    />
    <Button next={logs.shown !== undefined || typed.trim() !== ''} onclick={() => void keep()}
      >Hang it on the job</Button
    >
  </p>
  <Fault text={fault} />
</section>

<style>
  section {
    margin-top: 14px;
    padding: 10px 12px;
    border: 2px dashed var(--line);
  }
  .over {
    border-color: var(--accent);
  }
  .checks {
    align-items: center;
  }
</style>
