package syntoma.app.need;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Needs, the vehicle, carriers and their bands. */
@RestController
@RequestMapping("/api")
class NeedController {
    private final Needs needs;
    private final Vehicles vehicles;
    private final Carriers carriers;

    NeedController(Needs needs, Vehicles vehicles, Carriers carriers) {
        this.needs = needs;
        this.vehicles = vehicles;
        this.carriers = carriers;
    }

    @GetMapping("/needs")
    Needs.NeedsView needs() {
        return needs.view();
    }

    @PutMapping("/needs")
    Needs.NeedsView put(@RequestBody Needs.NeedRequest need, @RequestParam(required = false) Integer version) {
        needs.put(need, version);
        return needs.view();
    }

    @GetMapping("/vehicle")
    Vehicles.VehicleView vehicle() {
        return vehicles.view();
    }

    @PutMapping("/vehicle")
    Vehicles.VehicleView put(
            @RequestBody Vehicles.VehicleRequest vehicle, @RequestParam(required = false) Integer version) {
        vehicles.put(vehicle, version);
        return vehicles.view();
    }

    @GetMapping("/carriers")
    List<Carriers.CarrierName> carriers() {
        return carriers.all();
    }

    @GetMapping("/carriers/bands")
    List<Carriers.RegionView> regions() {
        return carriers.regions();
    }

    @PutMapping("/carriers/bands")
    List<Carriers.RegionView> put(@RequestBody Carriers.RegionView region) {
        carriers.put(region);
        return carriers.regions();
    }
}
