<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Contract;
use Tests\TestCase;

final class AccountTest extends TestCase
{
    use RefreshDatabase;

    public function test_sign_in_and_out(): void
    {
        $user = $this->demoUser();
        $response = $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => config('harmozon.demo_password')]);
        $response->assertOk()->assertJsonPath('garage.name', 'The Lanternfish Puppet Company');
        Contract::holds('POST', '/sign-in', $response);
        Contract::holds('GET', '/me', $this->getJson('/api/me')->assertOk());

        Contract::holds('POST', '/sign-out', $this->postJson('/api/sign-out')->assertNoContent());
        $this->app['auth']->forgetGuards();
        Contract::holds('GET', '/me', $this->getJson('/api/me')->assertUnauthorized());
    }

    public function test_a_wrong_password_is_told_as_such_and_soon_slowed_down(): void
    {
        $email = $this->demoUser()->email;
        for ($i = 0; $i < 5; $i++) {
            $response = $this->postJson('/api/sign-in', ['email' => $email, 'password' => 'guess']);
            $response->assertStatus(422)->assertJsonPath('errors.email.0', 'This e-mail address and password do not belong together.');
            Contract::holds('POST', '/sign-in', $response);
        }
        $response = $this->postJson('/api/sign-in', ['email' => $email, 'password' => config('harmozon.demo_password')]);
        Contract::holds('POST', '/sign-in', $response->assertStatus(429));
        $this->assertGuest();
    }

    public function test_the_demo_door_stands_open_in_demo_mode_only(): void
    {
        Contract::holds('POST', '/demo-sign-in', $this->postJson('/api/demo-sign-in')->assertNotFound());
        $this->demoUser();
        Contract::holds('POST', '/demo-sign-in', $this->postJson('/api/demo-sign-in')->assertOk());
        $this->get('/sign-in')->assertSee('name="harmozon-demo" content="yes"', false);

        $this->postJson('/api/sign-out');
        config(['harmozon.demo' => false]);
        $this->postJson('/api/demo-sign-in')->assertNotFound();
        $this->get('/sign-in')->assertSee('name="harmozon-demo" content="no"', false);
    }

    public function test_every_answer_carries_the_security_headers_and_no_script_stands_in_the_page(): void
    {
        foreach (['/', '/board', '/api/me', '/no/such/page'] as $path) {
            $policy = (string) $this->get($path)->headers->get('Content-Security-Policy');
            self::assertStringContainsString("script-src 'self';", $policy, $path);
            self::assertStringNotContainsString('unsafe-eval', $policy);
        }
        $page = (string) $this->get('/board')->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('X-Frame-Options', 'DENY')->getContent();
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*\ssrc=)/', $page);
        self::assertDoesNotMatchRegularExpression('/\s(?:src|href)="(?:https?:)?\/\/(?!localhost)/', $page);
    }

    public function test_an_unknown_api_address_is_answered_in_json(): void
    {
        $this->getJson('/api/nothing')->assertNotFound()->assertJsonStructure(['message']);
    }
}
