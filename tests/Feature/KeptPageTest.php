<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Http\FormToken;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\OwnModel;
use App\Models\User;
use App\Rigs\StoredRig;
use HiddenWire\Core\Edit\DescribeRig;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\URL;

beforeEach(function () {
    $this->owner = User::factory()->create(['name' => 'Marigold Finch']);
    $this->rig = app(ImportRig::class)($this->owner, shipped('rigs/penny-slot.json'));
    $this->made = 0;
    Event::listen('composing: rigs.*', function () {
        $this->made++;
    });
    $this->at = fn (string $view = 'wishes', ?User $by = null): string => (string) $this->actingAs($by ?? $this->owner)
        ->get("/rigs/{$this->rig->id}/{$view}")->assertOk()->getContent();
    // How often the page is made when it is asked for again; that it is the same then is seen by making it again.
    $this->again = function (string $view = 'wishes'): int {
        config(['app.compare_pages' => false]);
        $before = $this->made;
        ($this->at)($view);
        config(['app.compare_pages' => true]);

        return $this->made - $before;
    };
});

it('makes a page once for a state, and gives it again with a token of its own', function (string $view) {
    $first = ($this->at)($view);
    expect(($this->again)($view))->toBe(0);
    $second = ($this->at)($view);
    $tokens = fn (string $html): array => preg_match_all('/name="(?:_token" value|csrf-token" content)="([^"]+)"/', $html, $found) > 0
        ? array_values(array_unique($found[1])) : [];
    expect($tokens($first))->toHaveCount(1)->and($tokens($second))->toHaveCount(1)->and($tokens($first))->not->toBe($tokens($second))
        ->and(FormToken::bare($tokens($first)[0]))->toBe(FormToken::bare($tokens($second)[0]))
        ->and(str_replace($tokens($first)[0], '', $first))->toBe(str_replace($tokens($second)[0], '', $second))
        ->and($second)->not->toContain("\0");
})->with(['wishes', 'stock', 'computers', 'recipes', 'checks', 'wiring', 'wiring?depth=everything', 'tracks', 'show']);

it('makes it anew when anything has changed that it shows', function (Closure $change, string $view) {
    ($this->at)($view);
    expect(($this->again)($view))->toBe(0);
    $change->call($this);
    session()->forget('said');
    expect(($this->again)($view))->toBe(1, 'once after the change')->and(($this->again)($view))->toBe(0);
})->with([
    'the rig' => [fn () => $this->actingAs($this->owner)->postJson("/rigs/{$this->rig->id}/edits", [
        'edit' => 'describe-rig', 'name' => 'Another name', 'revision' => $this->rig->fresh()->revision,
    ])->assertOk(), 'wishes'],
    'the causes are looked for' => [fn () => $this->getJson("/rigs/{$this->rig->id}/causes")->assertOk(), 'checks'],
    'who looks is called otherwise' => [fn () => $this->owner->update(['name' => 'Marigold Wren']), 'wishes'],
    'feet instead of metres' => [fn () => $this->owner->update(['lengths' => Lengths::Imperial]), 'stock'],
    'the map was looked at deeper' => [fn () => ($this->at)('wiring?depth=sockets'), 'wiring'],
    'the map is laid out' => [fn () => $this->rig->layouts()->create([
        'depth' => 'cables', 'structure' => 'another', 'geometry' => [],
    ]), 'wiring'],
    'a model of one\'s own' => [fn () => OwnModel::query()->forceCreate([
        'user_id' => $this->owner->id, 'key' => 'own-1', 'document' => shipped('catalogue/dynamic-microphone.json'),
    ]), 'stock'],
    'the same model otherwise' => [function () {
        $own = OwnModel::query()->forceCreate([
            'user_id' => $this->owner->id, 'key' => 'own-1', 'document' => shipped('catalogue/dynamic-microphone.json'),
        ]);
        ($this->at)('stock');
        $own->update(['document' => shipped('catalogue/shotgun-microphone.json')]);
    }, 'stock'],
    'a picture' => [fn () => $this->rig->pictures()->create([
        'unit' => 'microphone', 'user_id' => $this->owner->id, 'caption' => 'As it stands', 'file' => str_repeat('a', 32), 'width' => 4, 'height' => 3,
    ]), 'stock'],
    'a test' => [fn () => $this->actingAs($this->owner)->post("/rigs/{$this->rig->id}/bench")->assertRedirect(), 'wishes'],
    'another way here' => [fn () => URL::forceRootUrl('http://localhost:81'), 'wishes'],
]);

it('makes a page for each person, by what they may do', function () {
    $guest = User::factory()->create(['name' => 'Barnaby Teal']);
    $member = new Member(['user_id' => $guest->id, 'role' => MemberRole::View]);
    $member->forceFill(['rig_id' => $this->rig->id, 'accepted_at' => now()])->save();
    $own = ($this->at)();
    auth()->forgetGuards();
    $this->flushSession();
    $theirs = ($this->at)(by: $guest);
    expect($own)->toContain('Marigold Finch')->not->toContain('view only')
        ->and($theirs)->toContain('Barnaby Teal')->toContain('view only')->not->toContain('Marigold Finch');
    $member->update(['role' => MemberRole::Edit]);
    expect(($this->at)(by: $guest))->not->toContain('view only');
});

it('keeps nothing that is said once, and nothing of a rig that can not be read', function () {
    $this->withSession(['said' => 'Done.']);
    expect(($this->at)())->toContain('Done.');
    $this->flushSession();
    expect(($this->at)())->not->toContain('Done.');
    $this->rig->update(['trouble' => 'It is spoiled.']);
    expect(($this->again)())->toBe(1);
});

it('would find a page that is out of date', function () {
    ($this->at)();
    // A rig that is another one though its state is not: nothing that a page's name could know.
    $record = $this->rig->fresh();
    StoredRig::keep($record, (new DescribeRig('Another name', ''))->applyTo(StoredRig::load($record)), '');
    $this->withoutExceptionHandling()->actingAs($this->owner)->get("/rigs/{$this->rig->id}/wishes");
})->throws(LogicException::class, 'out of date');

it('is gone with the cache, and nobody minds', function () {
    ($this->at)();
    Cache::flush();
    expect(($this->again)())->toBe(1);
});
