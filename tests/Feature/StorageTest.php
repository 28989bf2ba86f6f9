<?php

declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Models\Content\Cable;
use App\Models\Content\Unit;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Causes;
use App\Rigs\RigFromRows;
use App\Rigs\RigRows;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Edit\RenumberCables;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

it('keeps in rows exactly what the document holds', function (string $file) {
    $text = (string) file_get_contents($file);
    $rig = app(ImportRig::class)(User::factory()->create(), $text);
    expect((new DocumentWriter)->write(RigFromRows::rig($rig)))->toBe($text);
})->with(fn () => shippedRigs());

it('makes a first revision with the whole document, who and what', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'), 'Imported from slot.json');
    $revision = $rig->revisions()->sole();
    expect($revision->number)->toBe(1)->and($revision->user_id)->toBe($user->id)->and($revision->what)->toBe('Imported from slot.json')
        ->and($revision->document)->toBe(shipped('rigs/penny-slot.json'));
});

it('stores nothing of a document that it refuses', function () {
    $user = User::factory()->create();
    expect(fn () => app(ImportRig::class)($user, str_replace('"headset/usb"', '"headset/usx"', shipped('rigs/penny-slot.json'))))
        ->toThrow(InvalidDocument::class);
    expect(Rig::query()->count())->toBe(0)->and(Unit::query()->count())->toBe(0);
});

it('keeps two rigs with the same ids apart', function () {
    $user = User::factory()->create();
    $one = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    $two = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    $one->delete();
    expect((new DocumentWriter)->write(RigFromRows::rig($two)))->toBe(shipped('rigs/penny-slot.json'));
});

it('deletes a rig with all that belongs to it', function () {
    app(ImportRig::class)(User::factory()->create(), shipped('rigs/night-relay.json'))->delete();
    foreach (RigRows::tables() as $table) {
        expect($table::query()->count())->toBe(0);
    }
});

it('lets the database itself refuse what no rig can be', function (string $table, array $where, array $change) {
    app(ImportRig::class)(User::factory()->create(), shipped('rigs/penny-slot.json'));
    expect(DB::table($table)->where($where)->count())->toBe(1);
    expect(fn () => DB::table($table)->where($where)->update($change))->toThrow(QueryException::class);
})->with([
    'a cable into a socket that the model does not have' => ['cables', ['key' => 'w-01'], ['from_socket' => 'none']],
    'a cable from no unit' => ['cables', ['key' => 'w-01'], ['from_unit' => 'ghost']],
    'two leads in one socket' => ['cable_ends', ['cable' => 'w-01', 'end' => 'from'], ['unit' => 'pc', 'socket' => 'usb-2']],
    'two cables of one label' => ['cables', ['key' => 'w-01'], ['label' => 'W-02']],
    'two cables of one id' => ['cables', ['key' => 'w-01'], ['key' => 'w-02']],
    'a unit in no place' => ['units', ['key' => 'pc'], ['place' => 'attic']],
    'a unit of no model' => ['units', ['key' => 'pc'], ['model' => 'none']],
    'a pick at no point' => ['picks', ['unit' => 'tunes'], ['point' => 'none']],
    'two picks at one point' => ['picks', ['unit' => 'cast', 'point' => 'source-1'], ['point' => 'source-2']],
    'a lane to no point' => ['model_lanes', ['model' => 'console', 'socket' => 'picture'], ['point' => 'none']],
    'a route from no point' => ['model_routes', ['model' => 'capture-stick'], ['from' => 'none']],
    'an origin at no point' => ['source_origins', ['source' => 'voice'], ['point' => 'none']],
    'a wish for no source' => ['wishes', ['source' => 'voice', 'listener' => 'player'], ['source' => 'none']],
    'a device of a unit that is not there' => ['device_settings', ['device' => 'headset/usb/play'], ['device_unit' => 'ghost']],
]);

it('keeps a rig that was stored with a fault before, and gives it back', function () {
    $rig = app(ImportRig::class)(User::factory()->create(), shipped('rigs/penny-slot.json'));
    $data = json_decode(shipped('rigs/penny-slot.json'));
    [$first, $second] = $data->cables;
    $second->label = $first->label;
    $faulty = (new DocumentReader)->readStored((string) json_encode($data));
    expect($faulty->faults)->toHaveCount(1);
    RigRows::store($rig->id, $faulty);
    expect((new DocumentWriter)->write(RigFromRows::rig($rig)))->toBe((new DocumentWriter)->write($faulty));
});

it('changes a cable\'s rows with the document', function () {
    $rig = app(ImportRig::class)(User::factory()->create(), shipped('rigs/penny-slot.json'));
    $changed = RigFromRows::rig($rig);
    RigRows::store($rig->id, $changed);
    expect(Cable::query()->where('rig_id', $rig->id)->count())->toBe(count($changed->cables));
});

it('lets one rig that can\'t be read stop nothing else, says what is wrong, and finds the way back', function () {
    $user = User::factory()->create();
    $import = app(ImportRig::class);
    $broken = $import($user, shipped('rigs/penny-slot.json'));
    $whole = $import($user, shipped('rigs/ticket-booth.json'));
    // What an older version let in: a control character in a name.
    DB::table('places')->where('rig_id', $broken->id)->limit(1)->update(['name' => "Desk\x07"]);
    Cache::flush();
    $this->actingAs($user)->get("/rigs/{$broken->id}/wishes")->assertStatus(422);
    $this->get('/')->assertOk()->assertSee($whole->name)->assertSee('This rig can\'t be read', false)
        ->assertSee('Restore revision 1');
    expect(Artisan::call('rig:layout'))->toBe(0);
    $this->get("/rigs/{$broken->id}/document")->assertOk();
    $this->post("/rigs/{$broken->id}/recover")->assertRedirect('/')
        ->assertSessionHas('said', "{$broken->name} is back: Recovered revision 1.");
    $this->get("/rigs/{$broken->id}/wishes")->assertOk();
    $this->get('/')->assertDontSee('This rig can\'t be read', false);
});

it('looks for causes though an earlier revision can\'t be read', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/night-relay.json'));
    app(ChangeRig::class)->make($rig, $user, fn () => [new RenumberCables], $rig->revision);
    $rig->revisions()->where('number', 1)->update(['document' => '{"version": 0}']);
    $this->actingAs($user)->getJson("/rigs/{$rig->id}/causes")->assertOk()->assertJsonStructure(['found']);
    expect(Causes::known($rig->fresh())?->causes)->not->toBeEmpty();
});

it('shows nothing of another database from what is kept ready', function () {
    $user = User::factory()->create();
    $rig = app(ImportRig::class)($user, shipped('rigs/penny-slot.json'));
    $name = StoredRig::stateOf($rig);
    DB::table('identity')->update(['id' => (string) Str::uuid()]);
    (new ReflectionProperty(StoredRig::class, 'identities'))->setValue(null, null);
    // As after a fresh start: the same number and revision, and another name for what is kept.
    expect(StoredRig::stateOf($rig))->not->toBe($name);
});
