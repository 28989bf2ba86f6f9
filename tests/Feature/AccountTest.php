<?php

declare(strict_types=1);

use App\Actions\ImportRig;
use App\Models\Rig;
use App\Models\User;
use App\ViewModels\SessionList;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;

it('begins an account, signs it in, and refuses what would not do', function () {
    $fields = ['name' => 'Ana', 'email' => 'ana@hidden-wire.test', 'password' => 'long enough', 'password_confirmation' => 'long enough'];
    $this->get('/register')->assertOk();
    $this->post('/register', $fields)->assertRedirect('/');
    $this->assertAuthenticated();
    expect(Hash::check('long enough', User::query()->sole()->password))->toBeTrue();
    auth()->logout();
    foreach ([['email' => 'ana@hidden-wire.test'], ['password' => 'short', 'password_confirmation' => 'short'],
        ['password_confirmation' => 'other'], ['name' => ''], ['email' => 'no address']] as $wrong) {
        $this->post('/register', $wrong + ['email' => 'ben@hidden-wire.test'] + $fields)->assertSessionHasErrors();
    }
    expect(User::query()->count())->toBe(1);
});

it('can be closed to newcomers', function () {
    config(['app.registration' => false]);
    $this->get('/sign-in')->assertOk()->assertDontSee('Create account');
    $this->get('/register')->assertNotFound();
    $this->post('/register', ['name' => 'Ana', 'email' => 'ana@hidden-wire.test', 'password' => 'long enough',
        'password_confirmation' => 'long enough'])->assertNotFound();
    expect(User::query()->count())->toBe(0);
});

describe('an account', function () {
    beforeEach(function () {
        Storage::fake('local');
        config(['session.driver' => 'database']);
        $this->user = User::factory()->create();
        $this->post('/sign-in', ['email' => $this->user->email, 'password' => 'password'])->assertRedirect('/');
        $this->session = fn (string $id, ?int $user) => DB::table('sessions')
            ->insert(['id' => $id, 'user_id' => $user, 'payload' => '', 'last_activity' => time()]);
        $other = User::factory()->create();
        ($this->session)('elsewhere', $this->user->id);
        ($this->session)('somebody', $other->id);
    });

    it('changes its password with the old one, and every other session ends', function () {
        $this->put(
            '/account/password',
            ['current' => 'wrong', 'password' => 'a new password', 'password_confirmation' => 'a new password'],
        )
            ->assertSessionHasErrorsIn('password', 'current');
        $this->put('/account/password', ['current' => 'password', 'password' => 'short', 'password_confirmation' => 'short'])
            ->assertSessionHasErrorsIn('password', 'password');
        $this->put(
            '/account/password',
            ['current' => 'password', 'password' => 'a new password', 'password_confirmation' => 'a new password'],
        )
            ->assertSessionHas('said');
        expect(Hash::check('a new password', $this->user->fresh()->password))->toBeTrue()
            ->and(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeFalse()
            ->and(DB::table('sessions')->where('id', 'somebody')->exists())->toBeTrue();
        $this->get('/account')->assertOk();
    });

    it('lists where it is signed in, without what would open a session, and signs one out', function () {
        DB::table('sessions')->where('id', 'elsewhere')->update(['ip_address' => '192.0.2.7', 'user_agent' => 'A <b>browser</b>']);
        $remembered = $this->user->fresh()->remember_token;
        $page = (string) $this->get('/account')->assertOk()->assertSee('192.0.2.7')->assertSee('A <b>browser</b>')->getContent();
        expect($page)->not->toContain('elsewhere"')->not->toContain(session()->getId());
        preg_match_all('#account/sessions/([0-9a-f]{32})"#', $page, $marks);
        $mark = SessionList::mark('elsewhere');
        expect($marks[1])->toContain($mark)->not->toContain(SessionList::mark('somebody'));
        // Of somebody else, or of nobody: nothing.
        $this->delete('/account/sessions/'.SessionList::mark('somebody'))->assertNotFound();
        $this->delete('/account/sessions/'.SessionList::mark(session()->getId()))->assertNotFound();
        $this->delete("/account/sessions/{$mark}")->assertSessionHas('said');
        expect(DB::table('sessions')->pluck('id')->all())->not->toContain('elsewhere')->toContain('somebody')
            ->and($this->user->fresh()->remember_token)->not->toBe($remembered);
    });

    it('signs out everywhere else', function () {
        $this->post('/account/sign-out-everywhere', ['current' => 'wrong'])->assertSessionHasErrorsIn('everywhere', 'current');
        expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeTrue();
        $this->post('/account/sign-out-everywhere', ['current' => 'password'])->assertSessionHas('said');
        expect(DB::table('sessions')->where('id', 'elsewhere')->exists())->toBeFalse()
            ->and(DB::table('sessions')->where('id', 'somebody')->exists())->toBeTrue();
        $this->get('/account')->assertOk()->assertSee('Sign out everywhere else');
    });

    it('gives everything in one archive, whose rigs can be imported again', function () {
        app(ImportRig::class)($this->user, shipped('rigs/night-relay.json'));
        app(ImportRig::class)($this->user, shipped('rigs/penny-slot.json'));
        $answer = $this->get('/account/export')->assertOk()->assertHeader('Content-Type', 'application/zip');
        $zip = new ZipArchive;
        $path = $answer->baseResponse->getFile()->getPathname();
        expect($zip->open($path))->toBeTrue();
        $documents = array_filter(
            array_map(fn (int $i) => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1)),
            fn (string $name) => str_ends_with($name, 'rig.json'),
        );
        expect(array_values($documents))->toHaveCount(2);
        $text = (string) $zip->getFromName(array_values($documents)[0]);
        expect($text)->toBe(shipped('rigs/night-relay.json'))->and((new DocumentWriter)->write((new DocumentReader)->read($text)))
            ->toBe($text);
        unlink($path);
    });

    it('is deleted with its rigs, and with nobody else\'s', function () {
        app(ImportRig::class)($this->user, shipped('rigs/penny-slot.json'));
        $others = app(ImportRig::class)(User::factory()->create(), shipped('rigs/penny-slot.json'));
        $others->members()->create(['user_id' => $this->user->id, 'role' => 'edit', 'accepted_at' => now()]);
        $others->revisions()->first()->update(['user_id' => $this->user->id]);
        $this->delete('/account', ['current' => 'wrong'])->assertSessionHasErrorsIn('deletion', 'current');
        $this->delete('/account', ['current' => 'password'])->assertRedirect('/sign-in');
        $this->assertGuest();
        expect(User::query()->find($this->user->id))->toBeNull()->and(Rig::query()->pluck('id')->all())->toBe([$others->id])
            ->and($others->members()->count())->toBe(0)->and($others->revisions()->first()->user_id)->toBeNull()
            ->and(DB::table('sessions')->where('user_id', $this->user->id)->count())->toBe(0);
    });
});
