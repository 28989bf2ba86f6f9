<?php

declare(strict_types=1);

use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\MixerForm;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Kinds\Card;
use HiddenWire\Core\Kinds\MixerOptions;
use HiddenWire\Core\Kinds\MixerPresets;

/** The fields as a browser sends them for some options. @return array<string, mixed> */
function mixer_fields(string $name, MixerOptions $has): array
{
    $counts = array_map(fn (string $key) => (string) $has->$key, array_combine($keys = array_keys(MixerOptions::COUNTS), $keys));
    $flags = array_map(fn (string $key) => $has->$key ? '1' : '0', array_combine($keys = array_keys(MixerForm::FLAGS), $keys));

    return ['name' => $name, ...$counts, ...$flags, 'faders' => $has->faders === null ? '' : (string) $has->faders,
        'card' => $has->card->value, 'listening' => $has->listening->value,
        ...array_fill_keys(array_map(fn (EffectKind $tool) => "tool-{$tool->value}", $has->tools), '1')];
}

beforeEach(function () {
    $this->user = User::factory()->create();
});

it('keeps what the fields say: those of a preset make the preset', function (string $id) {
    $preset = MixerPresets::all()[$id];
    $this->actingAs($this->user)->post('/models/mixer', mixer_fields('Test mixer', $preset['has']))->assertRedirect(route('models'));
    $kept = CatalogueFiles::with($this->user)['test-mixer'];
    $same = fn ($model) => (new DocumentWriter)->model($model->with(name: 'x', summary: ''));
    expect(json_encode($same($kept)))->toBe(json_encode($same(MixerPresets::model($id))));
})->with(['counter-mixer', 'two-desk-mixer', 'round-table-mixer']);

it('begins as a preset, and keeps what was typed where something is wrong', function () {
    $this->actingAs($this->user)->get('/models/mixer?from=round-table-mixer')->assertOk()
        ->assertSeeInOrder(['name="phones"', 'value="5"'], false);
    $fields = ['mics' => '40', 'lines' => 'many', 'card' => 'each', 'phones' => '2'] + mixer_fields('Odd one', new MixerOptions(card: Card::Each));
    $answer = $this->actingAs($this->user)->post('/models/mixer', $fields)->assertStatus(422)
        ->assertSee('This is a number from 0 to 16.')->assertSee('This is a number from 0 to 8.')->assertSee('value="Odd one"', false);
    expect(preg_match('/<option value="each"\s+selected>/', (string) $answer->getContent()))->toBe(1)
        ->and($this->user->ownModels()->count())->toBe(0);
    $this->actingAs($this->user)->post('/models/mixer', mixer_fields(' ', new MixerOptions))->assertStatus(422)->assertSee('Give it a name.');
});

it('takes any shape of field without falling over', function (array $fields) {
    $status = $this->actingAs($this->user)->post('/models/mixer/drawing', $fields)->getStatusCode();
    expect($status)->toBeIn([200, 422]);
})->with([
    'nothing' => [[]],
    'lists for texts' => [['name' => ['a'], 'mics' => ['1'], 'tool-gate' => ['on'], 'card' => ['x']]],
    'large numbers' => [['mics' => '99999999999999999999', 'faders' => '-3', 'phones' => '1e3']],
    'unknown choices' => [['mics' => '1', 'phones' => '1', 'tool-wah' => '1', 'card' => 'disk', 'listening' => 'never']],
]);

it('is drawn for nobody who is not signed in', function () {
    $this->get('/models/mixer')->assertRedirect('/sign-in');
    $this->post('/models/mixer/drawing', [])->assertRedirect('/sign-in');
});
