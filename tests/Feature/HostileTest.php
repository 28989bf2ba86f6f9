<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Http\Edits\EditForms;
use App\Models\User;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Tests\Bench\DrawnForms;
use Tests\Bench\Hostile;

/* A short run of `bin/bench --hostile`, with another seed each day: a failure names its seed. */
beforeEach(function () {
    $this->seed = (int) date('Ymd');
    $this->user = User::factory()->create();
});

it('reads or refuses whatever document', function () {
    ($hostile = new Hostile($this->seed))->documents(800);
    expect(array_slice($hostile->failures, 0, 3))->toBe([])->and($hostile->counts['documents read'] ?? 0)->toBeGreaterThan(4)
        ->and($hostile->counts['documents refused'])->toBeGreaterThan(100);
});

it('keeps nothing by whatever forms that does not read back, undo and redo', function () {
    ($hostile = new Hostile($this->seed))->forms(450, $this->user);
    expect(array_slice($hostile->failures, 0, 3))->toBe([])->and($hostile->counts['forms made'])->toBeGreaterThan(225);
});

it('can draw a form for every change that a page can ask for', function () {
    expect(DrawnForms::words())->toEqualCanonicalizing(EditForms::words());
});

it('answers whatever request', function () {
    $this->withoutMiddleware([ThrottleRequests::class]);
    $rig = app(ImportRig::class)($this->user, shipped('rigs/penny-slot.json'));
    ($hostile = new Hostile($this->seed))->requests(500, $this->user, $rig);
    expect(array_slice($hostile->failures, 0, 3))->toBe([])->and($hostile->counts['requests answered'])->toBeGreaterThan(400);
});

it('hears, within bounds, rigs that are made to take long', function () {
    $hostile = new Hostile($this->seed, slowness());
    $measured = $hostile->rigs();
    expect(array_slice($hostile->failures, 0, 3))->toBe([])->and($measured['3,000 sources at 3,000 listeners'][2])
        ->toContain('9,000,000 cells')
        ->and($measured['a matrix of 40 by 40 with feedback'][2])->toBe('heard')->and($measured['4.8 MB of empty models'][2])
        ->toBe('heard');
});
