<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\Throttles;
use App\Mail\OutboxTransport;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\AliasLoader;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // A query in a loop, or a column that a query left out, is an error here and not a slow page or a silent null.
        Model::shouldBeStrict();
        Throttles::define();
        Mail::extend('outbox', fn () => new OutboxTransport);
        // The name that a request was sent to is not a proxy's to say: APP_HOSTS knows it.
        TrustProxies::at((array) config('app.proxies', []));
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        // Forms go by the same lengths and ranges as the format.
        AliasLoader::getInstance()->alias('Bounds', Bounds::class);
    }
}
