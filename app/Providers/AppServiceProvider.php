<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\Throttles;
use App\Mail\OutboxTransport;
use HiddenWire\Core\Quantity\Bounds;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\AliasLoader;
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
        // Forms go by the same lengths and ranges as the format.
        AliasLoader::getInstance()->alias('Bounds', Bounds::class);
    }
}
