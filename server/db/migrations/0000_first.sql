CREATE TABLE `anglers` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`units` text NOT NULL,
	`wave_limit_m` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `entries` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`at` text NOT NULL,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `entries_by_trip` ON `entries` (`owner_id`,`trip_id`);--> statement-breakpoint
CREATE TABLE `fish` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`school_id` text,
	`place_id` text,
	`at` text NOT NULL,
	`species` text,
	`length_m` real,
	`fate` text,
	`depth_m` real,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `fish_by_trip` ON `fish` (`owner_id`,`trip_id`);--> statement-breakpoint
CREATE TABLE `grids` (
	`water_id` text PRIMARY KEY NOT NULL,
	`tag` text NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `places` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`water_id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`lon_deg` real NOT NULL,
	`lat_deg` real NOT NULL,
	`attributes` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `places_by_water` ON `places` (`owner_id`,`water_id`);--> statement-breakpoint
CREATE TABLE `readings` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`water_id` text NOT NULL,
	`at` text NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `readings_by_water` ON `readings` (`owner_id`,`water_id`);--> statement-breakpoint
CREATE INDEX `readings_by_trip` ON `readings` (`owner_id`,`trip_id`);--> statement-breakpoint
CREATE TABLE `schools` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`place_id` text,
	`at` text NOT NULL,
	`top_m` real NOT NULL,
	`bottom_m` real NOT NULL,
	`water_depth_m` real NOT NULL,
	`tightness` text NOT NULL,
	`water_c` real,
	`secchi_m` real,
	`minutes` real NOT NULL,
	`presentations` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `schools_by_trip` ON `schools` (`owner_id`,`trip_id`);--> statement-breakpoint
CREATE TABLE `settings` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `tackle` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`carried` integer NOT NULL,
	`attributes` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `tackle_by_owner` ON `tackle` (`owner_id`);--> statement-breakpoint
CREATE TABLE `trips` (
	`id` text NOT NULL,
	`owner_id` text NOT NULL,
	`water_id` text NOT NULL,
	`started_at` text NOT NULL,
	`ended_at` text,
	PRIMARY KEY(`owner_id`, `id`),
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `visits` (
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`place_id` text,
	`arrived_at` text NOT NULL,
	`left_at` text,
	`minutes` real NOT NULL,
	`fish` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `visits_by_trip` ON `visits` (`owner_id`,`trip_id`);--> statement-breakpoint
CREATE TABLE `waters` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL,
	`lon_deg` real NOT NULL,
	`lat_deg` real NOT NULL,
	`shoreline` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
