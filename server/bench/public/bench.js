// The buttons of the simulated instruments.
const $ = (id) => document.getElementById(id);
const number = (id) => Number($(id).value.replace(',', '.'));

async function post(what, body = {}) {
  const answer = await fetch(`/api/bench/${$('bench').value}/${what}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  const result = await answer.json();
  $('said').textContent = answer.ok ? heard(result) : result.error;
  return answer.ok ? result : undefined;
}

function heard(result) {
  if (result.lost) return 'Connection lost. Readings are not received now.';
  if (result.heard === undefined) return `The gauge shows ${result.unit}.`;
  return result.heard === 0
    ? 'No receiver. Connect the bench in the application.'
    : `Received by ${result.heard}.`;
}

$('press').addEventListener('click', async () => {
  const result = await post('press', { thickness: number('thickness'), unruly: $('unruly').checked });
  if (result) $('display').textContent = `${result.reading.text} ${result.reading.unit}`;
});
$('pull').addEventListener('click', async () => {
  const result = await post('press', {
    onTester: $('onTester').value,
    springFree: number('springFree'),
    springRate: number('springRate'),
    length: number('length'),
  });
  if (result) $('tester-display').textContent = `${result.reading.length} mm  ${result.reading.force} N`;
});
$('dyno').addEventListener('click', async () => {
  const result = await post('dyno', {
    peakTorque: number('peakTorque'),
    peakRpm: number('peakRpm'),
    from: number('from'),
    to: number('to'),
    unruly: $('unruly').checked,
  });
  if (!result) return;
  $('dyno-display').textContent = 'Pulling …';
  setTimeout(() => ($('dyno-display').textContent = 'Pulled'), result.settings.engine.seconds * 1000);
});
$('onTester').addEventListener('change', () => {
  const coil = $('onTester').value === 'coil';
  $('springFree').disabled = $('springRate').disabled = !coil;
  $('length').value = coil ? '34' : '5.2';
});
$('unit').addEventListener('click', () => post('unit'));
$('lose').addEventListener('click', () => post('lose', { seconds: 6 }));
