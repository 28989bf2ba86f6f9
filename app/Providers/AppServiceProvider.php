<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\AwayDetector;
use App\Database\ClusterConnector;
use App\Http\Throttles;
use App\Jobs\MakeBook;
use App\Mail\OutboxTransport;
use App\Models\User;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\AliasLoader;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.mariadb', ClusterConnector::class);
        $this->app->bind(LostConnectionDetector::class, AwayDetector::class);
    }

    public function boot(): void
    {
        // A query in a loop, or a column that a query left out, is an error here and not a slow page or a silent null.
        Model::shouldBeStrict();
        Throttles::define();
        Mail::extend('outbox', fn () => new OutboxTransport);
        ResetPassword::toMailUsing(function (User $user, string $token): MailMessage {
            $url = route('password.reset', ['token' => $token, 'email' => $user->email]);

            return (new MailMessage)->subject('A new password for Hidden Wire')->text('mail.new-password', [
                'url' => $url, 'host' => parse_url($url, PHP_URL_HOST), 'minutes' => config('auth.passwords.users.expire'),
            ]);
        });
        // Between two jobs a worker makes nothing: whatever it is said to be making was broken off.
        Event::listen(Looping::class, fn (Looping $it) => $it->queue === 'default' ? MakeBook::beginAgain() : null);
        // The name that a request was sent to is not a proxy's to say: APP_HOSTS knows it.
        TrustProxies::at((array) config('app.proxies', []));
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        Blade::directive('csrf', fn () => '<input type="hidden" name="_token" value="<?php echo \App\Http\FormToken::masked(); ?>">');
        // How a view is indented is of no use to a browser: it is half of a large page.
        Blade::precompiler(fn (string $view): string => (string) preg_replace('/^[ \t]+/m', ' ', $view));
        // Forms go by the same lengths and ranges as the format.
        AliasLoader::getInstance()->alias('Bounds', Bounds::class);
    }
}
