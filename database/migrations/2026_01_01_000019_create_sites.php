<?php

use App\Database\RepeatableMigration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Sites: where roads meet, drawn once. A place can be a way through one: in by one arm, out by another. */
return new class extends RepeatableMigration
{
    public function up(): void
    {
        if (! Schema::hasColumn('places', 'site_id')) {
            $this->clear(['sites']);
            Schema::create('sites', function (Blueprint $table): void {
                $table->uuid('id')->primary();
                $table->foreignUuid('school_id')->constrained();
                $table->string('name', 160);
                $table->string('kind', 20);
                // The law is the place's.
                $table->string('pack', 8);
                $table->decimal('latitude_deg', 9, 6)->nullable();
                $table->decimal('longitude_deg', 9, 6)->nullable();
                $table->string('note', 500)->nullable();
                // As the site tool of the core takes them.
                $table->json('arms');
                // What it answered: each way with its routine and how hard it is, so that a list need not ask again.
                $table->json('ways');
                $table->timestamps();
                $table->softDeletes();
                $table->unique(['school_id', 'id']);
            });
        }
        $this->addColumns(
            'places', 'site_id', 'ADD site_id UUID NULL, ADD from_arm VARCHAR(20) NULL, ADD to_arm VARCHAR(20) NULL, '
                .'ADD CONSTRAINT places_site FOREIGN KEY (school_id, site_id) REFERENCES sites (school_id, id), '
                .'ADD CONSTRAINT places_way UNIQUE (school_id, site_id, from_arm, to_arm, routine)',
        );
        $this->check('places', 'places_whole_way', '(site_id IS NULL) = (from_arm IS NULL) AND (site_id IS NULL) = (to_arm IS NULL)');
        $this->check('sites', 'sites_whole_position', '(latitude_deg IS NULL) = (longitude_deg IS NULL)');
    }

    public function down(): void
    {
        $this->check('places', 'places_whole_way', '1 = 1');
        Schema::table('places', function (Blueprint $table): void {
            $table->dropForeign('places_site');
            $table->dropUnique('places_way');
            $table->dropColumn(['site_id', 'from_arm', 'to_arm']);
        });
        Schema::dropIfExists('sites');
    }
};
