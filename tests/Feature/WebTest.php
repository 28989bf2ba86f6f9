<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigFromRows;
use App\Rigs\StoredRig;
use App\ViewModels\MapDepth;
use App\ViewModels\MapGraph;
use HiddenWire\Core\Signal\GraphBuilder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

function owner(): User
{
    return User::factory()->create();
}

function rigOf(User $user, string $name = 'night-relay'): Rig
{
    return app(ImportRig::class)($user, shipped("rigs/{$name}.json"));
}

it('signs in with the right password, out again, and not with a wrong one', function () {
    $user = User::factory()->create(['email' => 'a@hidden-wire.test', 'password' => 'a-long-password']);
    $this->post('/sign-in', ['email' => 'a@hidden-wire.test', 'password' => 'wrong'])->assertSessionHasErrors('email');
    $this->assertGuest();
    $this->post('/sign-in', ['email' => 'a@hidden-wire.test', 'password' => 'a-long-password'])->assertRedirect('/');
    $this->assertAuthenticatedAs($user);
    $this->post('/sign-out')->assertRedirect('/sign-in');
    $this->assertGuest();
});

it('stops guessing at passwords after five tries', function () {
    User::factory()->create(['email' => 'a@hidden-wire.test', 'password' => 'a-long-password']);
    foreach (range(1, 5) as $_) {
        $this->post('/sign-in', ['email' => 'a@hidden-wire.test', 'password' => 'wrong']);
    }
    $this->postJson('/sign-in', ['email' => 'a@hidden-wire.test', 'password' => 'a-long-password'])->assertStatus(429);
    $this->assertGuest();
});

it('lets only an owner at a rig; for a stranger it does not exist, a guest has to sign in', function (string $method, string $path) {
    $user = owner();
    $rig = rigOf($user, 'penny-slot');
    $path = str_replace('ID', (string) $rig->id, $path);
    $this->call($method, $path)->assertRedirect('/sign-in');
    $this->actingAs(owner())->call($method, $path)->assertNotFound();
    $answer = $this->actingAs($user)->call($method, $path);
    expect($answer->baseResponse->getStatusCode())->not->toBeIn([403, 404, 500]);
})->with([['GET', '/rigs/ID/wiring'], ['GET', '/rigs/ID/wishes'], ['GET', '/rigs/ID/document'], ['PUT', '/rigs/ID/layout'], ['DELETE',
    '/rigs/ID']]);

it('shows a user\'s own rigs only', function () {
    $user = owner();
    rigOf($user, 'penny-slot');
    rigOf(owner(), 'ticket-booth');
    $this->actingAs($user)->get('/')->assertOk()->assertSee('Penny-slot stream')->assertDontSee('Ticket booth talk');
});

it('forbids scripts in the page', function (string $path) {
    $policy = (string) $this->get($path)->headers->get('Content-Security-Policy');
    expect($policy)->toContain("script-src 'self'")->not->toContain('unsafe')->toContain("default-src 'none'");
})->with(['/sign-in', '/', '/nothing-here']);

it('writes no inline script or style into a page', function () {
    $user = owner();
    $rig = rigOf($user);
    foreach (["/rigs/{$rig->id}/wiring?depth=inside&pens=rally", "/rigs/{$rig->id}/wishes?pair=chime:viewers", '/'] as $path) {
        $html = (string) $this->actingAs($user)->get($path)->assertOk()->getContent();
        expect(preg_match('/<script(?![^>]*\ssrc=)|\son[a-z]+=|\sstyle=|<style/i', $html))->toBe(0);
    }
});

it('imports a document and gives it back byte for byte', function () {
    $user = owner();
    $answer = $this->actingAs($user)
        ->post('/rigs', ['document' => UploadedFile::fake()->createWithContent('booth.json', shipped('rigs/ticket-booth.json'))]);
    $rig = $user->rigs()->sole();
    $answer->assertRedirect("/rigs/{$rig->id}/wiring");
    expect($rig->revisions()->sole()->what)->toBe('Imported from booth.json');
    expect($this->actingAs($user)->get("/rigs/{$rig->id}/document")->assertOk()->assertDownload('ticket-booth-talk.json')
        ->streamedContent())->toBe(shipped('rigs/ticket-booth.json'));
});

it('answers a bad file with every error and changes nothing', function (string $content, array $says) {
    $user = owner();
    $answer = $this->actingAs($user)->post('/rigs', ['document' => UploadedFile::fake()->createWithContent('bad.json', $content)])
        ->assertStatus(422);
    foreach ($says as $text) {
        $answer->assertSee($text);
    }
    expect($user->rigs()->count())->toBe(0);
})->with([
    'no JSON' => ['hello', ['no JSON']],
    'not UTF-8' => ["\xff\xfe{}", ['not UTF-8']],
    'deep' => [str_repeat('{"a":', 3000), ['deeper']],
    'two offences' => [fn () => str_replace(
        ['"headset/usb"', '"must-not"'],
        ['"headset/none"', '"never"'],
        shipped('rigs/penny-slot.json'),
    ), ['/cables/0/from', '/wishes/6/want']],
    'markup in a name is shown, not run' => ['{"format": "hidden-wire/rig", "version": 1, "name": "x", "situations": [], '
        .'"<script>alert(1)</script>": 1}', ['/<script>alert(1)<~1script>']],
]);

it('asks for a file where none was sent', function () {
    $this->actingAs(owner())->post('/rigs')->assertStatus(422)->assertSee('Choose a rig document');
});

it('never answers 500 to an injured upload', function () {
    $user = owner();
    mt_srand(7);
    $text = shipped('rigs/penny-slot.json');
    $this->withoutMiddleware(Illuminate\Routing\Middleware\ThrottleRequests::class);
    for ($i = 0; $i < 150; $i++) {
        $at = mt_rand(0, strlen($text) - 1);
        $bad = substr($text, 0, $at).chr(mt_rand(0, 255)).substr($text, $at + mt_rand(0, 3));
        expect($this->actingAs($user)->post('/rigs', ['document' => UploadedFile::fake()->createWithContent('bad.json', $bad)])->status())
            ->toBeIn([302, 422]);
    }
});

it('shows any address of a rig, whatever it asks for', function (string $query) {
    $user = owner();
    $rig = rigOf($user);
    foreach (['wiring', 'wishes'] as $view) {
        $this->actingAs($user)->get("/rigs/{$rig->id}/{$view}?{$query}")->assertOk();
    }
})->with(['', 'situation=break', 'situation=none', 'situation[]=x', 'depth=everything', 'depth=<b>',
    'pens=rally,voice,,none,rally,music,chime,ring,driver,visitor', 'pair=rally:viewers&focus=1', 'pair=rally', 'pair=:',
    'select=unit:mixer', 'select=cable:w-07', 'select=unit:none', 'select=x', 'pair=chime:presenter&situation=off']);

it('says in the hearing table what the command line says', function () {
    $user = owner();
    $rig = rigOf($user);
    $page = $this->actingAs($user)->get("/rigs/{$rig->id}/wishes")->assertOk();
    $page->assertSeeInOrder(['Rally engine at Viewers: arrives twice, 110.5 ms apart: an audible echo.', '−1.2', 'must hear',
        'Donation chime at Viewers: is not heard.'], false);
    $page->assertSee('On air: 11 not as wished');
});

it('looks for the causes after the page, and shows them with their cures from then on', function () {
    $user = owner();
    $rig = rigOf($user);
    $this->actingAs($user)->get("/rigs/{$rig->id}/wishes?pair=chime:viewers")->assertSee('Looking for the causes')
        ->assertSee('Find the causes')->assertDontSee('Donation chimes: play Chimes to "Chimes in"');
    $this->get("/rigs/{$rig->id}/causes")->assertOk()->assertJsonStructure(['found']);
    $this->get("/rigs/{$rig->id}/wishes?pair=chime:viewers")->assertSee('5 causes for 32 cells')
        ->assertSee('Donation chimes: play Chimes to "Chimes in"')->assertSee('It gets as far as');
    $this->get("/rigs/{$rig->id}/wishes?try=2.1")->assertSee('Nothing is changed yet')->assertSee('4 cells of On air would change');
    expect($rig->fresh()->revision)->toBe(1);
});

it('finds the causes without scripts too', function () {
    $user = owner();
    $rig = rigOf($user);
    $this->actingAs($user)->get("/rigs/{$rig->id}/wishes?causes=1")->assertSee('5 causes for 32 cells');
});

it('asks the browser for a layout, keeps it, draws with it, and asks again when the structure has changed', function () {
    $user = owner();
    $rig = rigOf($user, 'penny-slot');
    $content = RigFromRows::rig($rig);
    $map = new MapGraph((new GraphBuilder($content))->build($content->situation()), MapDepth::Cables);
    $this->actingAs($user)->get("/rigs/{$rig->id}/wiring")->assertSee('Laying the map out');
    $geometry = json_decode(Process::path(base_path())->input((string) json_encode(['m' => $map->forLayout()]))
        ->run(['node', 'resources/js/layout/headless.js'])->output(), true)['m'];
    $send = fn (array $change) => $this->actingAs($user)
        ->putJson(
            "/rigs/{$rig->id}/layout",
            $change + ['depth' => 'cables', 'situation' => 'live', 'structure' => $map->structure(), 'geometry' => $geometry],
        );
    $send(['structure' => 'old'])->assertStatus(409);
    $send(['depth' => 'none'])->assertStatus(422);
    $send(['geometry' => ['width' => 1, 'height' => 1, 'boxes' => [], 'edges' => []]])->assertStatus(422);
    $send(['geometry' => array_replace_recursive($geometry, ['boxes' => ['unit:pc' => [0 => 'x']]])])->assertStatus(422);
    $send(['geometry' => array_replace_recursive($geometry, ['boxes' => ['unit:pc' => [0 => 1e12]]])])->assertStatus(422);
    // Plates outside of their place, upon each other, or of no size.
    [$x, $y, $width, $height] = $geometry['boxes']['unit:pc'];
    $send(['geometry' => array_replace_recursive($geometry, ['boxes' => ['unit:pc' => [0 => 0]]])])->assertStatus(422);
    $send(['geometry' => array_replace_recursive($geometry, ['boxes' => ['unit:pc' => [2 => 0]]])])->assertStatus(422);
    $other = collect($map->plates)->first(fn (array $plates) => count($plates) > 1);
    $on = ["unit:{$other[0]->unit}" => $geometry['boxes']["unit:{$other[1]->unit}"]];
    $send(['geometry' => array_replace_recursive($geometry, ['boxes' => $on])])->assertStatus(422);
    // Who may only look gets the drawing, and nothing is kept.
    $viewer = User::factory()->create();
    $rig->members()->create(['user_id' => $viewer->id, 'role' => 'view', 'accepted_at' => now()]);
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $this->actingAs($viewer)->putJson(
        "/rigs/{$rig->id}/layout",
        ['depth' => 'cables', 'situation' => 'live', 'structure' => $map->structure(),
            'geometry' => $geometry],
    )->assertOk()->assertJsonPath('drawing', fn (string $html) => str_contains($html, 'W-01'));
    expect($rig->layouts()->count())->toBe(0);
    auth()->guard('web')->forgetUser();
    $this->flushSession();
    $send([])->assertOk();
    $this->actingAs($user)->get("/rigs/{$rig->id}/wiring")->assertDontSee('Laying the map out')->assertSee('W-01');
    $as = function (User $who) {
        auth()->guard('web')->forgetUser();
        $this->flushSession();

        return $this->actingAs($who);
    };
    // Laid out for another structure: where every plate has its size still, the map is shown, and the page lays the lines out again.
    $rig->layouts()->update(['structure' => str_repeat('0', 40), 'geometry' => array_replace($geometry, ['edges' => []])]);
    $as($user)->get("/rigs/{$rig->id}/wiring")->assertDontSee('Laying the map out')->assertSee('data-key="lines-', false)
        ->assertSee('class="wire realm-', false);
    $as($viewer)->get("/rigs/{$rig->id}/wiring")->assertDontSee('data-key="lines-', false)->assertSee('class="wire realm-', false);
    // Where one has grown, or is not there, everything is.
    $taller = array_replace_recursive($geometry, ['boxes' => ['unit:pc' => [3 => $height + 16]]]);
    foreach ([$taller, ['boxes' => array_diff_key($geometry['boxes'], ['unit:pc' => 1])] + $geometry, ['nothing' => 1]] as $unfit) {
        $rig->layouts()->update(['geometry' => $unfit]);
        $as($user)->get("/rigs/{$rig->id}/wiring")->assertSee('Laying the map out');
    }
    $as($viewer)->delete("/rigs/{$rig->id}/layout", ['depth' => 'cables'])->assertForbidden();
    $as($user)->delete("/rigs/{$rig->id}/layout", ['depth' => 'cables'])->assertRedirect();
    expect($rig->layouts()->count())->toBe(0);
});

it('counts queries: a page does not ask more of the database for a larger rig', function () {
    $user = owner();
    $count = function (string $name) use ($user): int {
        $rig = rigOf($user, $name);
        // The database's name is asked for once a process.
        StoredRig::stateOf($rig);
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->actingAs($user)->get("/rigs/{$rig->id}/wishes")->assertOk();

        return count(DB::getQueryLog());
    };
    expect($count('night-relay'))->toBe($count('penny-slot'))->toBeLessThan(40);
});
