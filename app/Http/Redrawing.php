<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Rig;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Routing\Router;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The view of a rig that a change was sent from, drawn anew in the same answer: it saves the page a second question. */
final readonly class Redrawing
{
    public function __construct(private Router $router)
    {
    }

    /**
     * @param  string  $address  the address of the page, as its browser shows it
     * @return string|null its HTML; null where the address is no view of this rig
     */
    public function of(Rig $rig, string $address, Request $sent): ?string
    {
        $path = parse_url($address, PHP_URL_PATH);
        if (! is_string($path) || ! str_starts_with($path, "/rigs/{$rig->id}/")) {
            return null;
        }
        $query = parse_url($address, PHP_URL_QUERY);
        $asked = Request::create($path.(is_string($query) ? "?{$query}" : ''), server: $sent->server->all());
        $asked->setUserResolver($sent->getUserResolver());
        $asked->setLaravelSession($sent->session());
        try {
            $route = $this->router->getRoutes()->match($asked);
            $asked->setRouteResolver(fn () => $route);
            $this->router->substituteBindings($route);
            $this->router->substituteImplicitBindings($route);
            app()->instance('request', $asked);
            $made = $route->run();
        } catch (HttpException) {
            return null;
        } finally {
            app()->instance('request', $sent);
        }

        return match (true) {
            $made instanceof View => $made->render(),
            $made instanceof Response => (string) $made->getContent(),
            default => null,
        };
    }
}
