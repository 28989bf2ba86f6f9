<?php

declare(strict_types=1);

use App\Models\Rig;
use App\Models\User;
use App\Rigs\StoredRig;
use App\Rigs\Suspects;
use App\ViewModels\FaultAnswers;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Finder\FollowSignal;
use HiddenWire\Core\Planning\Hearings;

function faultRig(User $user): Rig
{
    test()->actingAs($user)->post('/rigs/starter', ['starter' => 'crab-race']);

    return $user->rigs()->latest('id')->firstOrFail();
}

/** Follows the page's own links from what was said to what was found, whose address comes back by the way. */
function followRoom(Rig $rig, string &$url): string
{
    for ($check = 0; $check < 12; $check++) {
        $page = (string) test()->get($url)->assertOk()->getContent();
        if (str_contains($page, '<h3 id="fault-next">Found</h3>')) {
            return $page;
        }
        expect(preg_match('#<a class="btn btn-sm btn-ink" href="([^"]+)">Ask the simulated room#', $page, $found))->toBe(1, $page);
        $url = html_entity_decode($found[1]);
    }

    return '';
}

it('asks for a complaint first, hears the suspects beside the page, and names what explains it', function () {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $this->get("/rigs/{$rig->id}/faults")->assertOk()->assertSee('Nothing to look for yet')->assertDontSee('Every possible fault is tried');
    $said = $this->get("/rigs/{$rig->id}/faults?listener=rival-ear&source=player&said=nothing")->assertRedirect();
    $url = (string) $said->headers->get('Location');
    expect(urldecode($url))->toContain('known=hear player rival-ear=nothing');
    $this->get($url)->assertOk()->assertSee('Every possible fault is tried on the plan');
    $heard = $this->getJson("/rigs/{$rig->id}/faults/hear?situation=".urlencode((string) array_key_first(
        (new DocumentReader)->read((string) shipped('starters/crab-race.json'))->situations,
    )))->assertOk()->json('heard');
    expect($heard)->toBeGreaterThan(50);
    // While it was running it reported its progress, every ten faults.
    $told = (string) $this->getJson("/rigs/{$rig->id}/faults/progress?situation=race")->assertOk()->json('says');
    expect(sscanf($told, '%d of %d faults'))->toBe([intdiv($heard - 1, 10) * 10, $heard]);
    // The player is not heard by the rival: among what does that are the lead of the headset and the one to the service.
    $this->get($url)->assertOk()->assertSee('Check next')->assertSee('suspects')->assertSee('Take back')->assertDontSee('is tried on the plan …');
});

it('finds what is hidden in the simulated room, and says so only then', function () {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $situation = (string) array_key_first((new DocumentReader)->read((string) shipped('starters/crab-race.json'))->situations);
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation={$situation}")->assertOk();
    foreach ([1, 2, 3] as $seed) {
        $url = "/rigs/{$rig->id}/faults?room={$seed}";
        $page = followRoom($rig, $url);
        expect($page)->toContain('class="fault-found"')->toContain('Put it back as planned')->not->toContain('Take it over into the plan');
    }
    // The same known of the real room: the plan can be made so, and comes back with undo.
    $before = StoredRig::load($rig->fresh());
    $page = (string) $this->get(preg_replace('/([?&])room=\d+&?/', '$1', $url))->assertOk()->assertSee('Take it over into the plan')->getContent();
    expect(preg_match('#name="_change" value="([^"]+)">\s*<p>Or it is to stay#', $page, $found))->toBe(1);
    $this->post("/rigs/{$rig->id}/edits", ['_change' => html_entity_decode($found[1])])->assertRedirect()->assertSessionHasNoErrors();
    expect(StoredRig::load($rig->fresh()))->not->toEqual($before);
    $this->post("/rigs/{$rig->id}/undo", ['revision' => $rig->fresh()->revision])->assertRedirect();
    expect(StoredRig::load($rig->fresh())->parts())->toEqual($before->parts());
    // What cannot be any more is refused.
    $this->post("/rigs/{$rig->id}/edits", ['edit' => 'found', 'faults' => 'abcdef01', 'revision' => $rig->fresh()->revision])
        ->assertSessionHasErrors(['faults' => 'That is not possible in the plan any more. Search again.']);
});

it('lets a check of one\'s own be made in the simulated room, and tells how many it took', function () {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation=race")->assertOk();
    $this->get("/rigs/{$rig->id}/faults?room=2")->assertOk()->assertSee('A check of your own')->assertSee('value="look leads set"', false);
    $made = $this->get("/rigs/{$rig->id}/faults?".http_build_query(['room' => 2, 'check' => 'look settings service']))->assertRedirect();
    $url = (string) $made->headers->get('Location');
    expect(urldecode($url))->toContain('look settings service=');
    $page = followRoom($rig, $url);
    preg_match('/Found by (\d+) checks?; by those that the page asks for it takes (\d+)\./', $page, $found);
    // The page never looked there by itself.
    expect((int) ($found[1] ?? 0))->toBeGreaterThan((int) ($found[2] ?? 99));
    $this->get("/rigs/{$rig->id}/faults?".http_build_query(['room' => 2, 'check' => 'look leads nobody']))->assertNotFound();
    $this->get("/rigs/{$rig->id}/faults?check=look+leads+set")->assertNotFound();
});

it('suspects first what was changed since all was well', function () {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $this->post("/rigs/{$rig->id}/edits", [
        'edit' => 'point', 'unit' => 'rec', 'point' => 'microphone', 'fader' => '-3', 'situation' => '', 'revision' => $rig->revision,
    ])->assertSessionHasNoErrors();
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation=race")->assertOk();
    $address = "/rigs/{$rig->id}/faults?".http_build_query(['situation' => 'race', 'known' => 'hear player voice-track=nothing']);
    $this->get($address)->assertOk()->assertSee('All was well with revision')->assertDontSee('changed since</span>', false);
    $page = (string) $this->get("{$address}&since=1")->assertOk()->getContent();
    preg_match_all('#class="fault-per">(\d+) %</span> <a[^>]*>(.*?)</a>#s', $page, $found);
    // The recorder is what was touched.
    expect($found[2][0])->toStartWith('Recorder: ')->toContain('changed since')
        ->and((int) $found[1][0])->toBeGreaterThan((int) end($found[1]));
    $this->get("{$address}&since=99")->assertOk()->assertDontSee('changed since</span>', false);
});

it('passes over what an address does not say right, and hears nothing for it', function (string $known) {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $this->get("/rigs/{$rig->id}/faults?".http_build_query(['known' => $known, 'room' => '-1']))->assertOk()->assertSee('Nothing to look for yet');
})->with(['nonsense', 'hear a=nothing', 'smell a b=nothing', "hear a b=no\nthing", 'hear <a> b=x', ';;;=']);

it('says that nothing explains what nothing explains', function () {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation=race")->assertOk();
    $this->get("/rigs/{$rig->id}/faults?situation=race&known=".urlencode('hear player rival-ear=howl'))
        ->assertOk()->assertSee('Nothing explains all of this');
});

it('lets nobody in who may not look, and hears no situation that there is not', function () {
    $rig = faultRig(User::factory()->create());
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation=nowhere")->assertNotFound();
    $this->get("/rigs/{$rig->id}/faults?listener=nobody&source=player&said=nothing")->assertNotFound();
    $this->flushSession();
    $this->actingAs(User::factory()->create())->get("/rigs/{$rig->id}/faults")->assertNotFound();
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation=race")->assertNotFound();
});

it('keeps an answer in an address and takes it back', function () {
    $answers = FaultAnswers::read('hear a b=nothing')->with('look leads desk', "Unplugged W-01\nUnplugged W-02")->with('read d/m a', '-');
    expect($answers->text())->toMatch('/^hear a b=nothing;look leads desk=[0-9a-f]{8}\.[0-9a-f]{8};read d\/m a=-$/')
        ->and(FaultAnswers::read($answers->text())->answers)->toBe($answers->answers)
        ->and($answers->without('hear a b')->without('read d/m a')->text())->toMatch('/^look leads desk=[0-9a-f.]+$/');
});

it('keeps the suspects of a state, and hears those of the next anew', function () {
    $user = User::factory()->create();
    $rig = faultRig($user);
    $core = (new DocumentReader)->read((string) shipped('starters/crab-race.json'));
    $situation = array_values($core->situations)[0];
    expect(Suspects::known($rig, $situation))->toBeNull();
    $table = Suspects::of($rig, $core, $situation);
    expect(Suspects::known($rig, $situation)?->planned)->toBe($table->planned);
    $this->post("/rigs/{$rig->id}/edits", [
        'edit' => 'rename', 'thing' => 'units', 'id' => 'set', 'name' => 'Another', 'situation' => '', 'revision' => $rig->fresh()->revision,
    ])->assertRedirect();
    expect(Suspects::known($rig->fresh() ?? $rig, $situation) === null)->toBeTrue();
});

it('follows a missing sound from meter to meter, and says between which two it is lost', function () {
    $user = User::factory()->create();
    $this->actingAs($user)->post('/rigs/starter', ['starter' => 'harbour-radio']);
    $rig = $user->rigs()->latest('id')->firstOrFail();
    $plan = (new Hearings(StoredRig::load($rig)))->in('on-air');
    $ways = [];
    foreach ($plan->all() as $pair) {
        $ways[count((new FollowSignal($plan, $pair))->checks)] ??= $pair;
    }
    $most = max(array_keys($ways));
    $follow = new FollowSignal($plan, $ways[$most]);
    expect($most)->toBeGreaterThan(1);
    $url = "/rigs/{$rig->id}/faults?situation=on-air&known=".urlencode("hear {$ways[$most]->source->id} {$ways[$most]->listener->id}=nothing");
    $this->getJson("/rigs/{$rig->id}/faults/hear?situation=on-air")->assertOk();
    $page = (string) $this->get($url)->assertOk()->assertSee('Follow the signal: the meter in the middle of its way first')->getContent();
    expect(preg_match('#<a href="([^"]+)">Follow the signal#', $page, $found))->toBe(1);
    $known = [];
    for ($url = html_entity_decode($found[1]); ($next = $follow->next($known)) !== null;) {
        $page = (string) $this->get($url)->assertOk()->assertSee('Ask what tells most')->assertSee('Read ')->getContent();
        // It moves at the first meter, and at no other.
        $answer = $next === $follow->checks[0] ? 'as-planned' : 'nothing';
        $known[$next] = $answer;
        $words = $answer === 'nothing' ? 'Does not move' : 'As planned';
        expect(preg_match('#<a href="([^"]+)"><strong>'.$words.'</strong>#', $page, $found))->toBe(1, $page);
        $url = html_entity_decode($found[1]);
        expect(urldecode($url))->toContain("{$next}={$answer}")->toContain('follow=1');
    }
    $this->get($url)->assertOk()->assertSee('It is there at ')->assertSee(', and not at ');
});
