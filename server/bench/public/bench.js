// The buttons of the simulated instruments.
const $ = (id) => document.getElementById(id);
const number = (id) => Number($(id).value.replace(',', '.'));

async function post(what, body = {}) {
  const answer = await fetch(`/api/bench/${$('bench').value}/${what}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  const told = await answer.json();
  $('said').textContent = answer.ok ? heard(told) : told.error;
  return answer.ok ? told : undefined;
}

function heard(told) {
  if (told.lost) return 'The link is lost; what is sent now is not heard.';
  if (told.heard === undefined) return `The gauge shows ${told.unit}.`;
  return told.heard === 0
    ? 'Nobody listens: connect the bench in the application.'
    : `Heard by ${told.heard}.`;
}

$('press').addEventListener('click', async () => {
  const told = await post('press', { thickness: number('thickness'), unruly: $('unruly').checked });
  if (told) $('display').textContent = `${told.reading.text} ${told.reading.unit}`;
});
$('pull').addEventListener('click', async () => {
  const told = await post('press', {
    onTester: $('onTester').value,
    springFree: number('springFree'),
    springRate: number('springRate'),
    length: number('length'),
  });
  if (told) $('tester-display').textContent = `${told.reading.length} mm  ${told.reading.force} N`;
});
$('dyno').addEventListener('click', async () => {
  const told = await post('dyno', {
    peakTorque: number('peakTorque'),
    peakRpm: number('peakRpm'),
    from: number('from'),
    to: number('to'),
    unruly: $('unruly').checked,
  });
  if (!told) return;
  $('dyno-display').textContent = 'Pulling …';
  setTimeout(() => ($('dyno-display').textContent = 'Pulled'), told.settings.engine.seconds * 1000);
});
$('onTester').addEventListener('change', () => {
  const coil = $('onTester').value === 'coil';
  $('springFree').disabled = $('springRate').disabled = !coil;
  $('length').value = coil ? '34' : '5.2';
});
$('unit').addEventListener('click', () => post('unit'));
$('lose').addEventListener('click', () => post('lose', { seconds: 6 }));
