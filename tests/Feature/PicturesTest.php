<?php

use App\Models\Picture;
use App\Sites\PlainJpeg;
use Tests\Routes;

/* Pictures hang on the roads of a site: nothing in them but the picture, seen by their own school alone. */

/** A segment of a JPEG. */
function segment(int $marker, string $what): string
{
    return "\xFF".chr($marker).pack('n', strlen($what) + 2).$what;
}

beforeEach(function (): void {
    $this->owner = $this->user($this->school(), 'owner');
    $this->actingAs($this->owner);
    $this->site = $this->postJson('api/sites', ['name' => 'Ropewalk', 'kind' => 'junction', 'arms' => Routes::ARMS])->json('id');
    $this->hang = fn (array $more = []): Illuminate\Testing\TestResponse => $this->postJson(
        "api/sites/{$this->site}/pictures", [...['arm' => 's', 'image' => Routes::JPEG], ...$more],
    );
    $this->jpeg = (string) base64_decode(Routes::JPEG, true);
});

it('hangs a picture on a road, lists it without its bytes, shows it, and draws on it', function (): void {
    $picture = ($this->hang)(['note' => 'The line is worn away'])->assertCreated()->json();
    expect($picture)->toMatchArray(['arm' => 's', 'note' => 'The line is worn away', 'width' => 6, 'height' => 4, 'lines' => []])
        ->and($this->getJson("api/sites/{$this->site}/pictures")->json())->toBe([$picture]);
    $shown = $this->getJson("api/pictures/{$picture['id']}")->assertOk()->json('image');
    expect($shown)->toStartWith('data:image/jpeg;base64,')
        ->and(getimagesizefromstring((string) base64_decode(substr($shown, 23), true)))->toMatchArray([0 => 6, 1 => 4, 'mime' => 'image/jpeg']);
    $line = [[0.1, 0.2], [0.9, 0.8]];
    $this->putJson("api/pictures/{$picture['id']}", ['arm' => 'e', 'lines' => [$line]])->assertOk()
        ->assertJson(['arm' => 'e', 'lines' => [$line], 'note' => 'The line is worn away']);
});

it('takes one down and hangs it up again', function (): void {
    $picture = ($this->hang)()->json('id');
    $this->deleteJson("api/pictures/{$picture}")->assertNoContent();
    expect($this->getJson("api/sites/{$this->site}/pictures")->json())->toBe([]);
    $this->getJson("api/pictures/{$picture}")->assertNotFound();
    $this->postJson("api/pictures/{$picture}/restore")->assertOk();
    expect($this->getJson("api/sites/{$this->site}/pictures")->json())->toHaveCount(1);
});

it('keeps nothing of where, when and by what it was taken', function (): void {
    $secret = 'GPS 49.2 -8.1 owner Wanda Wren';
    $jfif = substr($this->jpeg, 2, 18);
    $told = "\xFF\xD8".$jfif.segment(0xE1, "Exif\x00\x00{$secret}").segment(0xE2, $secret).segment(0xFE, $secret).substr($this->jpeg, 20).$secret;
    expect(PlainJpeg::of($told)?->bytes)->toBe(PlainJpeg::of($this->jpeg)?->bytes);
    $picture = ($this->hang)(['image' => base64_encode($told)])->assertCreated()->json('id');
    expect(base64_decode(Picture::query()->findOrFail($picture)->image, true))->not->toContain('Wren')->toStartWith("\xFF\xD8")->toEndWith("\xFF\xD9");
    // Done once more nothing changes, and a small picture within it goes as well.
    $plain = PlainJpeg::of($this->jpeg)->bytes ?? '';
    $small = substr($plain, 0, 2).segment(0xE0, substr($jfif, 4, 12)."\x02\x01thumbs").substr($plain, 20);
    expect(PlainJpeg::of($plain)?->bytes)->toBe($plain)->and(PlainJpeg::of($small)?->bytes)->toBe($plain);
});

it('takes a whole JPEG and nothing else', function (Closure $spoil): void {
    ($this->hang)(['image' => $spoil($this->jpeg)])->assertUnprocessable()->assertJsonValidationErrors('image');
    expect(Picture::query()->count())->toBe(0);
})->with([
    'no base64' => [static fn (): string => 'not base64!'],
    'a page' => [static fn (): string => base64_encode('<html><script>alert(1)</script>')],
    'a page that begins like one' => [static fn (): string => base64_encode("\xFF\xD8\xFF<script>alert(1)</script>")],
    'another kind of picture' => [static fn (): string => base64_encode("\x89PNG\r\n\x1a\n".str_repeat('x', 40))],
    'half of one' => [static fn (string $jpeg): string => base64_encode(substr($jpeg, 0, intdiv(strlen($jpeg), 2)))],
    'one without its end' => [static fn (string $jpeg): string => base64_encode(substr($jpeg, 0, -2))],
    'none between beginning and end' => [static fn (): string => base64_encode("\xFF\xD8\xFF\xD9")],
    'a segment longer than the file' => [static fn (string $jpeg): string => base64_encode(substr($jpeg, 0, 2)."\xFF\xE1\xFF\xFFx")],
    'a size nobody needs' => [static fn (string $jpeg): string => base64_encode((string) preg_replace(
        '/(\xFF\xC0..\x08)..../s', "\$1\x20\x00\x20\x00", $jpeg, 1,
    ))],
    'more than a megabyte' => [static fn (): string => str_repeat('A', 1_600_004)],
]);

it('never fails on what only looks like a JPEG', function (): void {
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(7));
    $sound = 0;
    for ($i = 0; $i < 3_000; $i++) {
        $spoilt = $this->jpeg;
        for ($n = $chance->getInt(1, 6); $n > 0; $n--) {
            $spoilt[$chance->getInt(2, strlen($spoilt) - 1)] = chr($chance->getInt(0, 255));
        }
        $plain = PlainJpeg::of($chance->getInt(0, 3) === 0 ? substr($spoilt, 0, $chance->getInt(0, strlen($spoilt))) : $spoilt);
        if ($plain !== null) {
            $sound++;
            expect(PlainJpeg::of($plain->bytes)?->bytes)->toBe($plain->bytes)->and(max($plain->width, $plain->height))->toBeLessThanOrEqual(4_000);
        }
    }
    expect($sound)->toBeGreaterThan(100);
});

it('refuses a road there is none of, and a twenty-first', function (): void {
    ($this->hang)(['arm' => 'x'])->assertUnprocessable()->assertJsonValidationErrors('arm');
    $picture = ($this->hang)()->json('id');
    $this->putJson("api/pictures/{$picture}", ['arm' => 'x'])->assertUnprocessable()->assertJsonValidationErrors('arm');
    $this->putJson("api/pictures/{$picture}", ['arm' => 's', 'lines' => [[[0, 1.2]]]])->assertUnprocessable()->assertJsonValidationErrors('lines.0.0.1');
    // What is drawn is a list of lists, whatever a page sends.
    foreach ([['a' => [[0, 0]]], [['1' => [0, 0]]], [[['x' => 0, 'y' => 0]]], [[[0, 0, 0]]], [[0.5]], 'x'] as $lines) {
        $this->putJson("api/pictures/{$picture}", ['arm' => 's', 'lines' => $lines])->assertUnprocessable();
    }
    for ($i = 1; $i < 20; $i++) {
        ($this->hang)()->assertCreated();
    }
    ($this->hang)()->assertUnprocessable()->assertJsonValidationErrors('image');
});

it('is seen by its own school alone', function (): void {
    $picture = ($this->hang)()->json('id');
    $this->actingAs($this->user($this->school(), 'owner'));
    $this->getJson("api/sites/{$this->site}/pictures")->assertNotFound();
    foreach ([['GET', ''], ['PUT', ''], ['DELETE', ''], ['POST', '/restore']] as [$method, $more]) {
        $this->json($method, "api/pictures/{$picture}{$more}", ['arm' => 's'])->assertNotFound();
    }
    auth()->forgetGuards();
    $this->app['auth']->logout();
    $this->getJson("api/pictures/{$picture}")->assertUnauthorized();
});
