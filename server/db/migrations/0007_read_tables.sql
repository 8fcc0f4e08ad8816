CREATE TABLE `rigs` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`at` text NOT NULL,
	`colour` text,
	`secchi_m` real,
	`minutes` real NOT NULL,
	`presentations` integer NOT NULL,
	`fish` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `rigs_by_trip` ON `rigs` (`owner_id`,`trip_id`);--> statement-breakpoint
CREATE TABLE `stale_trips` (
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	PRIMARY KEY(`owner_id`, `trip_id`),
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
