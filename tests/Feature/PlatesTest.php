<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\ViewModels\RigPage;
use App\ViewModels\SocketMark;
use App\ViewModels\Stock;
use App\ViewModels\UnitPlate;
use HiddenWire\Core\Equipment\Connector;
use Illuminate\Http\Request;

/** The equipment with its sockets, and the catalogue by families. */
beforeEach(function () {
    $this->owner = User::factory()->create();
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/night-relay.json'));
    $this->stock = fn (array $query = []): Stock => new Stock(new RigPage(
        $this->rig->fresh(),
        'stock',
        tap(Request::create('/', 'GET', $query), fn (Request $request) => $request->setUserResolver(fn () => $this->owner)),
    ), fn () => CatalogueFiles::with($this->owner));
    $this->plates = function (string $place, array $query = []): array {
        $stock = ($this->stock)($query);
        $rig = (new RigPage($this->rig->fresh(), 'stock', tap(Request::create('/'), fn ($request) => $request->setUserResolver(fn () => $this->owner))))->rig;

        return array_column(array_map(fn (UnitPlate $plate) => [$plate->unit->id, $plate], $stock->platesIn($rig->places[$place])), 1, 0);
    };
    $this->drawn = fn (array $marks): string => implode(' ', array_map(fn (SocketMark $mark) => $mark->shape.($mark->isFree() ? '?' : ''), $marks));
});

it('draws a unit with its ins left, its outs right, full where a cable is in', function () {
    // Read off the model and the cables by hand: five inputs of the desk, all used; five outputs, USB among them.
    $desk = ($this->plates)('desk');
    expect(($this->drawn)($desk['mixer']->ins))->toBe('combo combo mini mini optical')
        ->and(($this->drawn)($desk['mixer']->outs))->toBe('usb-b jack mini mini jack')
        ->and(array_map(fn (SocketMark $mark) => $mark->says(), $desk['mixer']->ins)[0])->toBe('Mic 1, XLR and 6.35 mm: W-02')
        ->and($desk['presenter-mic']->ins)->toBe([])->and($desk['mixer']->free())->toBe(0);
    // The monitor has a second picture input, and its own socket for headphones, both free.
    $sim = ($this->plates)('sim');
    expect(($this->drawn)($sim['sim-monitor']->ins))->toBe('hdmi hdmi?')->and(($this->drawn)($sim['sim-monitor']->outs))->toBe('mini?')
        ->and($sim['sim-monitor']->free())->toBe(2);
});

it('puts programs below their computer, and counts what is free', function () {
    $sim = ($this->plates)('sim');
    expect(array_keys($sim))->not->toContain('game')
        ->and(array_map(fn ($program) => $program->id, $sim['sim-pc']->programs))->toBe(['game', 'voice-relay', 'mic-relay', 'picture-relay']);
    $rig = (new RigPage($this->rig, 'stock', tap(Request::create('/'), fn ($request) => $request->setUserResolver(fn () => $this->owner))))->rig;
    expect(($this->stock)()->sizeOf($rig->places['desk']))->toBe('9 units')->and(($this->stock)()->sizeOf($rig->places['sim']))->toBe('9 units, 10 free');
});

it('shows only what has free sockets, or what carries no wanted sound', function () {
    expect(array_keys(($this->plates)('sim', ['show' => 'free'])))->toBe(['sim-pc', 'headset-amp', 'sim-monitor'])
        ->and(($this->plates)('desk', ['show' => 'free']))->toBe([]);
    $idle = array_merge(...array_map(fn (string $place) => array_keys(($this->plates)($place, ['show' => 'idle'])), ['desk', 'sim', 'corner', 'cast', 'ferry', 'hall']));
    expect($idle)->toBe(['chimes', 'browser']);
    $this->actingAs($this->owner)->get("/rigs/{$this->rig->id}/stock")->assertOk()->assertSee('Mic 1, XLR and 6.35 mm: W-02')
        ->assertSee('runs 4 programs');
});

it('has a shape for every connector, and draws each', function () {
    $drawn = [];
    foreach (Connector::cases() as $connector) {
        $mark = new SocketMark(new HiddenWire\Core\Equipment\Socket('s', 'S', $connector, $connector->usualSignal(), []));
        $drawn[$mark->shape] = trim(view('components.socket-shape', ['shape' => $mark->shape])->render());
        expect(SocketMark::SHAPES)->toHaveKey($mark->shape)->and($drawn[$mark->shape])->toStartWith('<');
    }
    // No two are drawn alike.
    expect(array_unique($drawn))->toHaveCount(count($drawn))->and(array_diff_key(SocketMark::SHAPES, $drawn))->toBe([]);
});

it('opens the catalogue on its families, each model with its sockets, and leads back to the rig', function () {
    $models = CatalogueFiles::catalogue()->models;
    $page = $this->actingAs($this->owner)->get("/catalogue?rig={$this->rig->id}")->assertOk()->assertSee('id="family-microphone"', false)
        ->assertSee("/rigs/{$this->rig->id}/stock", false)->assertSee($this->rig->name);
    foreach ($models as $model) {
        $page->assertSee($model->name);
    }
    expect(substr_count($page->getContent(), '<svg class="sock '))->toBe(array_sum(array_map(fn ($model) => count($model->sockets), $models)));
    $this->get('/catalogue?family=hub')->assertOk()->assertSee('id="family-hub"', false)->assertDontSee('id="family-mixer"', false);
    // Somebody else's rig is not mentioned.
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/catalogue?rig={$this->rig->id}")->assertOk()->assertDontSee($this->rig->name);
});
